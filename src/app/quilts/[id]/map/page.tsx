import { MapEditor } from '@/ui/map-editor/MapEditor';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Quilt map' };

export default async function MapPage(props: QuiltPageProps) {
  const { view } = await readQuiltPage(props);
  const { quilt, zones } = view;
  return (
    <MapEditor
      key={quilt.version}
      quilt={{
        id: quilt.id,
        name: quilt.name,
        widthIn: quilt.widthIn,
        lengthIn: quilt.lengthIn,
        version: quilt.version,
      }}
      zones={zones.map((z) => ({
        id: z.id,
        letter: z.letter,
        name: z.name,
        geometry: z.geometry,
        hex: z.fabrics[0]?.hex ?? '#d8cfbb',
      }))}
    />
  );
}

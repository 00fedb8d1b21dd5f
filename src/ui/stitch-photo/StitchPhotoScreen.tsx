'use client';
import { useRouter } from 'next/navigation';
import type { TestRound } from '@/data/types';
import { PhotoButton } from '@/ui/kit/PhotoButton';
import { MarkedPhoto } from './MarkedPhoto';
import { moved } from './marks';
import { Measured } from './Measured';
import { StitchTools } from './StitchTools';
import { type StitchPhoto, useStitchPhoto } from './use-stitch-photo';

const SAMPLES = [1, 2, 3, 4] as const;

/** Stitches on a photograph: the scale marked, a line drawn along them, every hole to be checked and moved by hand. */
export function StitchPhotoScreen({
  quiltId,
  zoneId,
  rounds,
  roundId,
  photographId,
  threads,
}: {
  quiltId: string;
  zoneId: string;
  rounds: readonly Pick<TestRound, 'id' | 'n'>[];
  /** The test it belongs to, when it came from one. */
  roundId: string | null;
  photographId: string | null;
  threads: { top: string | null; bobbin: string | null };
}) {
  const router = useRouter();
  const photo = useStitchPhoto(photographId, threads);
  const { picture, problem, busy, open, marks, path, holes, setHoles, answer } = photo;
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="flex-1 text-24">Stitches on a photograph</h2>
        <PhotoButton name="Photograph of stitches" capture="environment" onFile={(file) => void open(file)}>
          {busy ? 'Working …' : picture ? 'Another photograph' : 'Take or choose a photograph'}
        </PhotoButton>
      </div>
      {problem && (
        <p role="alert" className="mt-2 font-medium text-madder">
          {problem}
        </p>
      )}
      {!picture ? (
        <NoPicture {...photo} />
      ) : (
        <>
          <StitchTools {...photo} />
          <MarkedPhoto
            picture={picture}
            marks={marks}
            path={path}
            holes={holes}
            onPress={photo.press}
            onMove={(i, to) => setHoles(moved(holes, i, to))}
            onDrop={(i) => setHoles(holes.filter((_, k) => k !== i))}
          />
          {answer && (
            <Measured
              answer={answer}
              told={photo.told}
              corrected={photo.corrected}
              onOther={(reading) => setHoles(reading.spots)}
              rounds={rounds}
              roundId={roundId}
              onKept={() => router.push(`/quilts/${quiltId}/test?zone=${zoneId}`)}
            />
          )}
        </>
      )}
    </>
  );
}

/** Before there is a picture: how to take one, and drawn ones to try. */
function NoPicture({ setScale, open }: StitchPhoto) {
  return (
    <div className="mt-3 border-t-2 border-ink pt-3">
      <p className="max-w-[640px]">
        Lay a ruler or a coin beside the line, hold the camera straight above it, and come near: the stitches
        should fill the picture. Nothing is sent away; it is measured in this window.
      </p>
      <h3 className="mt-4 text-[17px]">Or try one of these drawn samples, a centimetre marked on each</h3>
      <div className="mt-1.5 flex flex-wrap gap-3">
        {SAMPLES.map((n) => (
          <button
            key={n}
            type="button"
            className="border"
            aria-label={`Sample ${n}`}
            onClick={() =>
              void fetch(`/samples/stitches-${n}.png`)
                .then((r) => r.blob())
                .then((b) => {
                  setScale('cm');
                  return open(b);
                })
            }
          >
            {/* eslint-disable-next-line @next/next/no-img-element -- a drawn sample that ships with the app */}
            <img src={`/samples/stitches-${n}.png`} alt="" className="h-[74px] w-[260px] object-cover" />
          </button>
        ))}
      </div>
    </div>
  );
}

'use client';
import type { TensionSaid } from '@/core/tension/said';
import { Download } from 'lucide-react';
import { Link } from '@/ui/kit/Link';
import { useState } from 'react';
import { DrawingSvg } from '@/ui/draw/Marks';
import { pngOf, saveFile, svgText } from '@/ui/draw/save-drawing';
import { Button } from '@/ui/kit/Button';
import { Modal } from '@/ui/kit/Modal';
import { CARD_MM, type CardFacts, settingCard } from '@/ui/print/setting-card';

const said = (t: TensionSaid) => [t.big, t.unit].filter(Boolean).join(' ');

/** Dots of a printer at 300 to the inch. */
const PNG_WIDTH = Math.round((CARD_MM.width / 25.4) * 300);
const PNG_HEIGHT = Math.round((CARD_MM.height / 25.4) * 300);

/** The setting card of a zone to look at, to save as SVG or PNG, or to print with the others. */
export function CardDialog({
  facts,
  sheetHref,
  onClose,
}: {
  facts: CardFacts;
  sheetHref: string;
  onClose: () => void;
}) {
  const [problem, setProblem] = useState<string | null>(null);
  const name = `${facts.quilt} ${facts.letter} setting card`;
  const save = async (kind: 'svg' | 'png') => {
    setProblem(null);
    try {
      const text = await svgText('card');
      if (!text) return;
      const file =
        kind === 'svg'
          ? new Blob([text], { type: 'image/svg+xml' })
          : await pngOf(text, PNG_WIDTH, PNG_HEIGHT);
      saveFile(file, name, kind);
    } catch {
      setProblem('The card could not be saved. Print it instead.');
    }
  };
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Setting card ${facts.letter}`}
      about="To stand beside the machine. The machine’s manual comes first."
      wide
    >
      <DrawingSvg
        drawing={settingCard(facts)}
        data="card"
        title={`Setting card of zone ${facts.letter}, ${facts.zone}: ${facts.top.name}, ${facts.needle}, ${facts.spi} per inch, top ${said(facts.topSaid)}, bobbin ${said(facts.bobbinSaid)}`}
        className="mt-3 h-auto w-full max-w-[760px]"
      />
      {problem && (
        <p role="alert" className="mt-2 font-medium text-madder">
          {problem}
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-2.5">
        <Button look="act" onClick={() => void save('svg')}>
          <Download size={18} aria-hidden /> Save as SVG
        </Button>
        <Button onClick={() => void save('png')}>
          <Download size={18} aria-hidden /> Save as PNG
        </Button>
        <Link href={sheetHref} className="inline-flex min-h-11 items-center px-2 text-indigo hover:underline">
          Print all cards of this quilt
        </Link>
      </div>
    </Modal>
  );
}

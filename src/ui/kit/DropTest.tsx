/** How the drop test goes: the case hangs by its thread, is jerked once, slides so far and stops. Opened by those who ask. */
export function DropTest({ dropIn }: { dropIn: string }) {
  return (
    <details className="mt-2 print:hidden">
      <summary className="inline-flex min-h-11 cursor-pointer items-center text-indigo hover:underline">
        How the drop test goes
      </summary>
      <div className="flex flex-wrap items-center gap-4">
        <svg
          viewBox="0 0 220 130"
          width="220"
          role="img"
          aria-label={`The bobbin case hangs by its thread; a short jerk lets it slide ${dropIn} and stop`}
        >
          <Hand x={58} />
          <Hand x={158} />
          <path d="M58 30V66M158 30V96" stroke="var(--indigo)" strokeWidth="2" />
          <Case x={58} y={66} />
          <Case x={158} y={96} />
          <path d="M188 66H204M188 96H204M196 68V94" stroke="var(--ink)" strokeWidth="1.5" fill="none" />
          <path d="M192 88L196 95L200 88" stroke="var(--ink)" strokeWidth="1.5" fill="none" />
          <path d="M92 60H120M113 54L121 60L113 66" stroke="var(--ink)" strokeWidth="1.8" fill="none" />
        </svg>
        <ol className="max-w-[360px] list-decimal space-y-1 pl-5">
          <li>
            Hold the loaded bobbin case by its thread over your other hand: it hangs and does not slide.
          </li>
          <li>Jerk once, shortly, as if to make it nod.</li>
          <li>
            It slides about <b className="font-semibold">{dropIn}</b> and stops. Further: tighten the small
            screw an eighth of a turn. Less, or not at all: loosen it.
          </li>
        </ol>
      </div>
    </details>
  );
}

const Hand = ({ x }: { x: number }) => (
  <path
    d={`M${x - 22} 8H${x + 8}Q${x + 16} 10 ${x + 12} 18H${x + 4}L${x} 32L${x - 4} 18H${x - 22}Z`}
    fill="var(--sunk)"
    stroke="var(--ink)"
    strokeWidth="1.5"
  />
);
const Case = ({ x, y }: { x: number; y: number }) => (
  <g stroke="var(--ink)" strokeWidth="1.5">
    <rect x={x - 15} y={y} width="30" height="22" rx="3" fill="var(--weld-tint)" />
    <circle cx={x} cy={y + 11} r="5" fill="var(--cloth)" />
  </g>
);

/** The drop a tension's words ask for; null where it is not set by the drop test. */
export const dropOf = (words: string): string | null => /^drop test (.+ in)/u.exec(words)?.[1] ?? null;

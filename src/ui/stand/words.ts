import type { ShownStep } from './stand-facts';

/** Minutes and seconds, hours when there are any. */
export function clockWords(ms: number): string {
  const s = Math.floor(ms / 1000);
  const two = (n: number) => String(n).padStart(2, '0');
  const h = Math.floor(s / 3600);
  return `${h > 0 ? `${h}:${two(Math.floor(s / 60) % 60)}` : Math.floor(s / 60)}:${two(s % 60)}`;
}

/** What to lay ready for the step after this one: only what changes. */
export function nextWords(now: ShownStep, next: ShownStep): string {
  const parts = [
    next.pass !== now.pass && `pass ${next.pass}`,
    next.thread !== now.thread && `thread ${next.threadName}`,
    next.bobbinId !== now.bobbinId && `bobbin ${next.bobbinName}`,
    next.needle !== now.needle && `needle ${next.needle}`,
    next.foot !== now.foot && `foot: ${next.foot}`,
    next.topGf !== now.topGf && `top ${next.topGf} gf`,
    next.bobbinGf !== now.bobbinGf && `bobbin ${next.bobbinGf} gf`,
    next.mode !== now.mode && next.mode,
    next.spi !== now.spi && `${Number(next.spi.toFixed(1))} to the inch`,
  ].filter((p) => p !== false);
  return parts.length > 0 ? `${parts.join('; ')}.` : `zones ${next.letters.join(', ')}, nothing to change.`;
}

import pino from 'pino';

const holder = globalThis as { tidySpoolSay?: pino.Logger };

/** What the program says of itself: a line of JSON each with time and level, on the error stream. `TIDY_SPOOL_LOG` sets the level. */
export const say = (holder.tidySpoolSay ??= pino(
  {
    level: process.env.NODE_ENV === 'test' ? 'silent' : (process.env.TIDY_SPOOL_LOG ?? 'info'),
    base: { pid: process.pid },
    timestamp: pino.stdTimeFunctions.isoTime,
  },
  pino.destination(2),
));

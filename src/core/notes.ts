/** One sentence with a stable code, for a person to read and a program to recognise. */
export interface Reason {
  code: string;
  text: string;
  /** What a person could do about it, as a short order: "Wind two more bobbins". */
  act?: string;
  /** The criterion it belongs to, where one gave it. */
  from?: string;
}

export type Severity = 'note' | 'warn' | 'stop';

export interface Caution extends Reason {
  severity: Severity;
}

/** The answer of a core function, or in words why there is none; what is not about the input is thrown on. */
export function attempt<T>(work: () => T): T | string {
  try {
    return work();
  } catch (error) {
    if (error instanceof CoreError) return error.message;
    throw error;
  }
}

/** Bad input to a core function: what is wrong, and where, as a dotted path. */
export class CoreError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly path = '',
  ) {
    super(message);
    this.name = 'CoreError';
  }
}

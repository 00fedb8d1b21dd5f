export interface Named {
  id: string;
  label: string;
}
export interface FoundCause extends Named {
  p: number;
  remedy: string[];
  confirm: string;
  stopWork: boolean;
  technician: boolean;
  reasons: { why: string; multiply: number }[];
  episodes: number;
}
export interface FaultCheck extends Named {
  minutes: number;
  tools: string[];
  steps: string[];
  outcomes: Named[];
  safety?: string;
}

/** Chances are never told as certain. */
export const chance = (p: number) => `${Math.min(99, Math.max(1, Math.round(p * 100)))} %`;

export const nameOf = (list: readonly Named[], id: string): string =>
  list.find((x) => x.id === id)?.label ?? id;

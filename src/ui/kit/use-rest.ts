'use client';
import { useEffect, useState } from 'react';

/** A long list as it crosses to the browser: what the page shows at once, and where all of it is to be had. */
export interface Listed {
  /** The packed rows that came with the page. */
  text: string;
  /** How many there are in all. */
  count: number;
  /** The address of all rows; left out when they are here. Never changes what it answers. */
  rest?: string;
}

const asked = new Map<string, Promise<string>>();
const fetched = new Map<string, string>();

/** Whether all rows of the list are here. */
export const isWhole = ({ rest }: Listed): boolean => !rest || fetched.has(rest);

/** All rows of a list, those that came with the page until the others are here. */
export function useRest({ text, rest }: Listed): string {
  const [, arrived] = useState(0);
  useEffect(() => {
    if (!rest || fetched.has(rest)) return;
    let here = true;
    const answer =
      asked.get(rest) ??
      fetch(rest).then((r) => {
        if (!r.ok) throw new Error(`${rest}: ${r.status}`);
        return r.text();
      });
    asked.set(rest, answer);
    answer.then(
      (all) => {
        fetched.set(rest, all);
        if (here) arrived((n) => n + 1);
      },
      () => asked.delete(rest),
    );
    return () => {
      here = false;
    };
  }, [rest]);
  return (rest && fetched.get(rest)) || text;
}

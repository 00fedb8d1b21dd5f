import NextLink from 'next/link';
import type { ComponentProps } from 'react';
import { Going } from './Going';

/**
 * A way to another page, which is asked for when it is taken and not before: a page answers in well under 100 ms, and
 * asking for every page in sight beforehand cost the studio's computer four times the work of the page itself.
 */
export function Link({ children, ...props }: ComponentProps<typeof NextLink>) {
  return (
    <NextLink prefetch={false} {...props}>
      {children}
      <Going />
    </NextLink>
  );
}

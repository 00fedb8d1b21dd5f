import { Link } from './Link';
import type { ComponentProps } from 'react';

type Look = 'act' | 'plain' | 'quiet';
const LOOK: Record<Look, string> = {
  act: 'border-indigo bg-indigo text-on-act',
  plain: 'border-indigo bg-cloth text-indigo',
  quiet: 'border-rule bg-cloth text-ink',
};
const base =
  'inline-flex min-h-11 items-center justify-center gap-2.5 rounded border-[1.5px] px-4 text-16 font-semibold leading-tight disabled:opacity-60 hover:brightness-95 active:brightness-90';

export function Button({
  look = 'plain',
  className = '',
  type = 'button',
  ...rest
}: ComponentProps<'button'> & { look?: Look }) {
  return <button type={type} className={`${base} ${LOOK[look]} ${className}`} {...rest} />;
}

export function ButtonLink({
  look = 'plain',
  className = '',
  ...rest
}: ComponentProps<typeof Link> & { look?: Look }) {
  return <Link className={`${base} ${LOOK[look]} ${className}`} {...rest} />;
}

'use client';
import { Link } from '@/ui/kit/Link';
import { usePathname } from 'next/navigation';
import type { Place } from './places';

export function NavLink({ href, label, first = href, wide = false }: Place) {
  const path = usePathname();
  const here = href === '/' ? path === '/' : path.startsWith(href);
  return (
    <Link
      href={first}
      aria-current={here ? 'page' : undefined}
      className={`${wide ? 'max-sm:hidden' : ''} flex h-[60px] items-center px-3 whitespace-nowrap max-2xl:px-2 max-xl:px-1 text-16 max-sm:h-11 max-sm:px-1 max-sm:text-13 ${here ? 'font-bold' : 'font-medium'}`}
    >
      <span className={`border-b-[3px] pb-0.5 ${here ? 'border-ink' : 'border-transparent'}`}>{label}</span>
    </Link>
  );
}

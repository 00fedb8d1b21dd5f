'use client';
import { Link } from '@/ui/kit/Link';
import { usePathname } from 'next/navigation';

export function PartLink({ href, label }: { href: string; label: string }) {
  const here = usePathname().startsWith(href);
  return (
    <Link
      href={href}
      aria-current={here ? 'page' : undefined}
      // On a phone the row is longer than the screen: what is open stands in it.
      ref={here ? (el) => el?.scrollIntoView({ block: 'nearest', inline: 'center' }) : undefined}
      className={`flex min-h-11 items-center border-b-[3px] px-3 whitespace-nowrap ${here ? 'border-indigo font-bold' : 'border-transparent'}`}
    >
      {label}
    </Link>
  );
}

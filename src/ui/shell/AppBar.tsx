import { Plus } from 'lucide-react';
import { FindButton } from '@/ui/find/FindButton';
import { ButtonLink } from '@/ui/kit/Button';
import { NavLink } from './NavLink';
import { ThemeSwitch } from './ThemeSwitch';
import { PLACES } from './places';
import { Wordmark } from './Wordmark';

/** The main places of the app. */
export function AppBar({ theme }: { theme: 'daylight' | 'lamp' }) {
  return (
    <div
      data-appbar
      className="flex min-h-[60px] flex-wrap items-center gap-y-1 border-b bg-ground px-5 max-xl:px-3 max-sm:pt-2 print:hidden"
    >
      <a href="#main" className="sr-only focus:not-sr-only focus:mr-4">
        Skip to the page
      </a>
      <Wordmark />
      <nav
        aria-label="Main places"
        className="flex max-w-full gap-1 overflow-x-auto max-xl:gap-0 max-sm:order-last max-sm:w-full max-sm:flex-wrap max-sm:justify-between max-sm:gap-0"
      >
        {PLACES.map((p) => (
          <NavLink key={p.href} {...p} />
        ))}
      </nav>
      <span className="flex-1" />
      <span className="flex items-center gap-2 max-sm:gap-1">
        <ThemeSwitch theme={theme} />
        <FindButton />
        <ButtonLink look="act" href="/take-in">
          <Plus size={18} aria-hidden />
          <span className="whitespace-nowrap max-sm:sr-only">Take in a quilt</span>
        </ButtonLink>
      </span>
    </div>
  );
}

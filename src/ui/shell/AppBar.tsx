import { NavLink } from './NavLink';
import { ThemeSwitch } from './ThemeSwitch';
import { PLACES } from './places';
import { Wordmark } from './Wordmark';

/** The main places of the app. */
export function AppBar({ theme }: { theme: 'daylight' | 'lamp' }) {
  return (
    <div className="flex h-[60px] items-center border-b bg-ground px-5 print:hidden">
      <a href="#main" className="sr-only focus:not-sr-only focus:mr-4">
        Skip to the page
      </a>
      <Wordmark />
      <nav aria-label="Main places" className="flex gap-1">
        {PLACES.map((p) => (
          <NavLink key={p.href} {...p} />
        ))}
      </nav>
      <span className="flex-1" />
      <ThemeSwitch theme={theme} />
    </div>
  );
}

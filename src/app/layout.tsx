import './globals.css';
import type { Metadata } from 'next';
import { cookies } from 'next/headers';
import { AppBar } from '@/ui/shell/AppBar';
import { Toasts } from '@/ui/shell/Toasts';

export const metadata: Metadata = { title: { default: 'Tidy Spool', template: '%s · Tidy Spool' } };
export const dynamic = 'force-dynamic';

export default async function Layout({ children }: { children: React.ReactNode }) {
  const theme = (await cookies()).get('theme')?.value === 'lamp' ? 'lamp' : 'daylight';
  return (
    <html lang="en" data-theme={theme}>
      <body>
        <AppBar theme={theme} />
        <main id="main">{children}</main>
        <Toasts />
      </body>
    </html>
  );
}

import './globals.css';
import type { Metadata } from 'next';
import { cookies } from 'next/headers';
import { Toaster } from 'sonner';
import { AppBar } from '@/ui/shell/AppBar';

export const metadata: Metadata = { title: { default: 'Tidy Spool', template: '%s · Tidy Spool' } };
export const dynamic = 'force-dynamic';

export default async function Layout({ children }: { children: React.ReactNode }) {
  const theme = (await cookies()).get('theme')?.value === 'lamp' ? 'lamp' : 'daylight';
  return (
    <html lang="en" data-theme={theme}>
      <body>
        <AppBar theme={theme} />
        <main id="main">{children}</main>
        <Toaster
          position="bottom-right"
          toastOptions={{
            style: {
              background: 'var(--ink)',
              color: 'var(--cloth)',
              border: 0,
              borderRadius: 2,
              fontSize: 15,
              fontFamily: 'var(--font-sans)',
            },
          }}
        />
      </body>
    </html>
  );
}

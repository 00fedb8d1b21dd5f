import type { MetadataRoute } from 'next';

/** What a device needs to keep the studio among its programs. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Tidy Spool',
    short_name: 'Tidy Spool',
    description: 'Set-ups, tests and the log of a longarm studio',
    start_url: '/',
    display: 'standalone',
    background_color: '#F6F3EC',
    theme_color: '#2E4272',
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
    ],
  };
}

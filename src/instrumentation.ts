/** Once when a server process starts: dated copies of the studio are kept from now on. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME === 'nodejs') await import('./backup/keep').then((m) => m.startKeeping());
}

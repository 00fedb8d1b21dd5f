/** How this studio is served: over HTTPS where it has a certificate. */
export const studioScheme = (): 'http' | 'https' => (process.env.TIDY_SPOOL_TLS ? 'https' : 'http');

/**
 * Whether an error is a lost line and nothing else. Browsers throw a TypeError for it, and for many mistakes of a program
 * besides, so its words are looked at: a mistake must never be told as a lost connection.
 */
export const isOffline = (error: unknown): boolean =>
  /failed to fetch|fetch failed|networkerror|network error|network request failed|load failed|connection (was )?(closed|lost|refused|reset)|err_network|err_internet/i.test(
    String(error),
  );

// When something that was not stored is tried again.
const RETRY_MS = [1000, 2000, 4000, 8000];
const TRIES_AT_A_FAULT = 3;
/** No answer, not logged in, not trusted, busy, no room on the disk: it can be stored later. */
const WAITS = [0, 401, 403, 503, 507];

/**
 * Milliseconds until it is tried again; 0 where that is of no use.
 * @param tries how often it was tried, at least once
 */
export function waitAfter(error, tries) {
  if (WAITS.includes(error.status)) return RETRY_MS[Math.min(tries, RETRY_MS.length) - 1];
  const isFault = !(error.status < 500);
  return isFault && tries < TRIES_AT_A_FAULT ? RETRY_MS[tries] : 0;
}

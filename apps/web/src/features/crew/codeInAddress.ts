/** The code that a picture on another phone has put into the address; it is good once, and stays in no history. */
export function codeInAddress(): string {
  const code = decodeURIComponent(window.location.hash.slice(1)).slice(0, 20);
  if (code !== '') window.history.replaceState(window.history.state, '', window.location.pathname);
  return code;
}

/** The address that the picture of a code leads to. */
export const addressOfCode = (code: string): string => `${window.location.origin}/crew#${code}`;

let found = '';

/**
 * The code that a picture on another phone has put into the address; it is good once, and stays in no history. It is
 * known as long as the page is, because the router may lay this part of it anew, or put its own address there again.
 */
export function codeInAddress(): string {
  const code = decodeURIComponent(window.location.hash.slice(1)).slice(0, 20);
  if (code !== '') {
    found = code;
    window.history.replaceState(window.history.state, '', window.location.pathname);
  }
  return found;
}

/** The code was used: no other form begins with it. */
export const codeUsed = (): void => {
  found = '';
};

/** The address that the picture of a code leads to. */
export const addressOfCode = (code: string): string => `${window.location.origin}/crew#${code}`;

/** Hands an address to the platform's share, else to the clipboard; what has neither leaves it to be marked by hand. */
export async function sendAddress(address: string, title: string): Promise<'sent' | 'copied' | 'neither'> {
  try {
    if (typeof navigator.share === 'function') {
      await navigator.share({ title, url: address });
      return 'sent';
    }
  } catch (error) {
    // thought better of it
    if ((error as Error).name === 'AbortError') return 'sent';
  }
  try {
    await navigator.clipboard.writeText(address);
    return 'copied';
  } catch {
    return 'neither';
  }
}

/** A browser that is slow to begin has to find the file still there, ms. */
const KEPT_MS = 60_000;

/** Hands something to the browser as a file. */
export function download(name: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), KEPT_MS);
}

/** A name that every device takes: letters, digits and dashes of what it is called. */
export const fileName = (title: string, end: string): string =>
  `${
    title
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'room'
  }.${end}`;

/** By the device's own way of sharing where it has one for files; else as a download. */
export async function shareOrDownload(name: string, content: BlobPart, type: string): Promise<void> {
  const file = new File([content], name, { type });
  if (navigator.maxTouchPoints > 0 && navigator.canShare?.({ files: [file] })) {
    try {
      await navigator.share({ files: [file], title: name });
      return;
    } catch (error) {
      // somebody thought better of it
      if ((error as Error).name === 'AbortError') return;
    }
  }
  download(name, content, type);
}

const KB = 1024;
const MB = 1024 * KB;
const GB = 1024 * MB;

/** Bytes as somebody would say them: `180 kB`, `3.4 MB`, `12 MB`, `2 GB`. */
export function sizeText(bytes: number): string {
  if (bytes < MB) return `${Math.round(bytes / KB)} kB`;
  if (bytes < GB) return `${(bytes / MB).toFixed(bytes < 10 * MB ? 1 : 0)} MB`;
  return `${(bytes / GB).toFixed(0)} GB`;
}

/** So long a file is held for the browser to take it, in milliseconds. */
const HELD_MS = 10_000;

/** Saves what a page has made, or was answered, as a file on this device. */
export function saveFile(name: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), HELD_MS);
}

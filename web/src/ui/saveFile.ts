/** Hands a text, or what was fetched, to the reader as a file. */
export function saveFile(name: string, content: string | Blob, type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([content], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

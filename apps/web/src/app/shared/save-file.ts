/** Give the reader a file to keep. */
export function saveFile(name: string, type: string, content: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([content], { type: `${type};charset=utf-8` }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

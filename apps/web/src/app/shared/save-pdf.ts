import type { TDocumentDefinitions } from 'pdfmake/interfaces';

/** Make a document as PDF, on this device, and give it to the reader. What makes it is fetched when it is first wanted. */
export async function savePdf(definition: TDocumentDefinitions, name: string): Promise<void> {
  const [{ default: pdf }, { default: fonts }] = await Promise.all([import('pdfmake/build/pdfmake'), import('pdfmake/build/vfs_fonts')]);
  pdf.addVirtualFileSystem(fonts);
  await pdf.createPdf(definition).download(`${name.replaceAll(/[^\p{L}\d]+/gu, '-')}.pdf`);
}

import type { RecordFacts, RecordLayout } from './record-document';
import { recordDocument } from './record-document';

/** Make the record of a period as a PDF, on this device, and give it to the reader. What makes it is fetched when it is first wanted. */
export async function saveRecord(facts: RecordFacts, layout: RecordLayout): Promise<void> {
  const [{ default: pdf }, { default: fonts }] = await Promise.all([import('pdfmake/build/pdfmake'), import('pdfmake/build/vfs_fonts')]);
  pdf.addVirtualFileSystem(fonts);
  await pdf.createPdf(recordDocument(facts, layout)).download(`record-${facts.period.replace(/[^\w]+/g, '-')}.pdf`);
}

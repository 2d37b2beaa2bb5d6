import type PDFDocument from 'pdfkit';

/** Ends a document, and answers with everything that is written of it. */
export async function bytesOf(document: InstanceType<typeof PDFDocument>): Promise<Uint8Array> {
  const chunks: Uint8Array[] = [];
  const whole = new Promise<void>((resolve, reject) => {
    document.on('data', (chunk: Uint8Array) => chunks.push(chunk));
    document.on('end', resolve);
    document.on('error', reject);
  });
  document.end();
  await whole;
  const bytes = new Uint8Array(chunks.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const chunk of chunks) {
    bytes.set(chunk, at);
    at += chunk.length;
  }
  return bytes;
}

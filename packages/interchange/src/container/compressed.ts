import { strToU8, Unzip, UnzipInflate, unzipSync, zipSync } from 'fflate';
import { refuse, UnreadableFile } from '../common/found';
import { child, childrenOf, readTree } from '../xml/tree';
import { textOfBytes } from './text';

/** The most a compressed score may unfold to, in bytes. */
const mostUnfolded = 40_000_000;
const mostFiles = 50;
/** Taken in pieces, so that an archive that unfolds without end is stopped early. */
const piece = 65_536;

const tooMuch = `This compressed score unfolds to more than ${mostUnfolded / 1_000_000} MB; no choir score needs that. It is not read.`;
const tooManyFiles = 'This archive holds too many files to be one score.';

/** Unfolds an archive by its list of contents; undefined when it has none that can be read. */
function unfoldByList(bytes: Uint8Array): Map<string, Uint8Array> | undefined {
  let files = 0;
  let unfolded = 0;
  try {
    const found = unzipSync(bytes, {
      filter: ({ originalSize }) => {
        files += 1;
        unfolded += originalSize;
        if (files > mostFiles) refuse(tooManyFiles);
        if (unfolded > mostUnfolded) refuse(tooMuch);
        return true;
      },
    });
    return new Map(Object.entries(found));
  } catch (problem) {
    if (problem instanceof UnreadableFile) throw problem;
    return undefined;
  }
}

/** Unfolds an archive's files one after the other, whatever its list says, and stops when it becomes too much. */
function unfoldInOrder(bytes: Uint8Array): Map<string, Uint8Array> {
  const files = new Map<string, Uint8Array[]>();
  let unfolded = 0;
  const unzip = new Unzip((file) => {
    if (files.size >= mostFiles) refuse(tooManyFiles);
    const parts: Uint8Array[] = [];
    files.set(file.name, parts);
    file.ondata = (error, data) => {
      // What is thrown here comes back as an error of the archive.
      if (error instanceof UnreadableFile) throw error;
      if (error) refuse('This compressed score is damaged. Save it again.');
      unfolded += data.length;
      if (unfolded > mostUnfolded) {
        refuse(tooMuch);
      }
      parts.push(data);
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length; at += piece) {
      unzip.push(bytes.subarray(at, at + piece), at + piece >= bytes.length);
    }
  } catch (problem) {
    if (problem instanceof UnreadableFile) throw problem;
    refuse('This compressed score is damaged. Save it again.');
  }
  return new Map(
    [...files].map(([name, parts]) => {
      const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
      let at = 0;
      for (const part of parts) {
        whole.set(part, at);
        at += part.length;
      }
      return [name, whole];
    }),
  );
}

/** A name as archives should write it: forward strokes, from the archive's root on. */
const plainPath = (name: string): string => name.replace(/\\/g, '/').replace(/^(\.?\/)+/, '');

/**
 * The score inside a compressed MusicXML file, as its container names it.
 * @throws UnreadableFile with words for a person
 */
export function openCompressed(bytes: Uint8Array): string {
  const unfolded = unfoldByList(bytes) ?? unfoldInOrder(bytes);
  const files = new Map([...unfolded].map(([name, data]) => [plainPath(name), data]));
  const container = [...files].find(([name]) => /^meta-inf\/container\.xml$/i.test(name))?.[1];
  const limits = { tags: 1000, tooMany: 'This archive names too many files to be one score.' };
  const rootfiles = container && child(readTree(textOfBytes(container), limits), 'rootfiles');
  const named = childrenOf(rootfiles, 'rootfile').flatMap(({ attributes }) => {
    const path = plainPath(attributes['full-path'] ?? '');
    const isOther = /pdf|image|audio/.test(attributes['media-type'] ?? '');
    return isOther ? [] : (files.get(path) ?? []);
  });
  const score =
    named[0] ??
    [...files].find(
      ([name]) => /\.(musicxml|xml)$/i.test(name) && !/^(meta-inf|__macosx)\//i.test(name),
    )?.[1];
  if (!score)
    return refuse('There is no score in this archive. Choose a file saved as compressed MusicXML.');
  return textOfBytes(score);
}

/** A MusicXML text as a compressed file, with the container that names it. */
export function compress(xml: string): Uint8Array {
  const container =
    '<?xml version="1.0" encoding="UTF-8"?>\n<container><rootfiles>' +
    '<rootfile full-path="score.musicxml" media-type="application/vnd.recordare.musicxml+xml"/>' +
    '</rootfiles></container>\n';
  // Without the hour of writing, so that the same score is the same file.
  const options = { mtime: '1980-01-01T12:00:00' };
  return zipSync(
    {
      mimetype: [strToU8('application/vnd.recordare.musicxml'), { level: 0 }],
      'META-INF/container.xml': strToU8(container),
      'score.musicxml': strToU8(xml),
    },
    options,
  );
}

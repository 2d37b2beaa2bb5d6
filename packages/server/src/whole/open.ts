import {
  choirFileFormat,
  choirFileVersion,
  largestChoirFile,
  largestChoirText,
  largestScoreFile,
  mostKept,
  wholeChoirSchema,
  type WholeChoir,
} from '@wide-fern/contract';
import { upcastStored } from '@wide-fern/plan';
import { choirFileWords } from '@wide-fern/words';
import { strFromU8, Unzip, UnzipInflate } from 'fflate';
import { Problem } from '../http/problem';
import { findUnstorable } from '../http/storable';
import { textName } from './giveOut';
import { kinds, tableOf } from './tables';

/** Fed so much at a time, so that one that unfolds without end is noticed early. */
const piece = 65_536;
const mostFiles = mostKept.pieces * 2 + 1;

const refuse = (words: string): never => {
  throw new Problem('invalid', words, { file: words });
};

/** What lies in a ZIP file; one that unfolds to more than it may is refused before it does. */
function unfolded(bytes: Uint8Array): Map<string, Uint8Array> {
  const files = new Map<string, Uint8Array[]>();
  let all = 0;
  const unzip = new Unzip((file) => {
    if (files.size >= mostFiles) refuse(choirFileWords.tooMuch);
    const parts: Uint8Array[] = [];
    files.set(file.name, parts);
    const most = file.name === textName ? largestChoirText : largestScoreFile;
    let size = 0;
    file.ondata = (error, data) => {
      if (error instanceof Problem) throw error;
      if (error) refuse(choirFileWords.damaged);
      size += data.length;
      all += data.length;
      if (size > most || all > largestChoirFile + largestChoirText) refuse(choirFileWords.tooMuch);
      parts.push(data);
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length; at += piece) {
      unzip.push(bytes.subarray(at, at + piece), at + piece >= bytes.length);
    }
  } catch (error) {
    if (error instanceof Problem) throw error;
    refuse(choirFileWords.damaged);
  }
  return new Map([...files].map(([name, parts]) => [name, Buffer.concat(parts)]));
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The same with every plan brought up to the schema of now, where it is one. */
function upToDate(value: unknown): unknown {
  const document = (one: unknown) =>
    isObject(one) && typeof one.schema === 'number'
      ? upcastStored(one as { readonly schema: number })
      : one;
  const each = (rows: unknown, change: (row: Record<string, unknown>) => unknown) =>
    Array.isArray(rows) ? rows.map((row: unknown) => (isObject(row) ? change(row) : row)) : rows;
  if (!isObject(value)) return value;
  const withDocument = (rows: unknown) =>
    each(rows, (row) => ({ ...row, document: document(row.document) }));
  return {
    // A file of before these were kept has none.
    judgings: [],
    judgingCards: [],
    ...value,
    plans: withDocument(value.plans),
    planVersions: withDocument(value.planVersions),
    keptPlans: withDocument(value.keptPlans),
    runs: each(value.runs, (row) => ({
      ...row,
      head: isObject(row.head) ? { ...row.head, document: document(row.head.document) } : row.head,
    })),
  };
}

/** Whatever names another row names one of the file: nothing leads into another choir. */
function checkRefs(whole: WholeChoir): void {
  const ids = new Map(
    kinds.map((kind) => [kind, new Set(whole[kind].map(({ id }) => id))] as const),
  );
  for (const kind of kinds) {
    for (const [word, { to }] of Object.entries(tableOf(kind).refs)) {
      const known = ids.get(to)!;
      for (const row of whole[kind] as readonly Readonly<Record<string, unknown>>[]) {
        const named = row[word];
        if (named !== null && !known.has(named as string)) {
          refuse(choirFileWords.broken(`${kind}: ${word}`));
        }
      }
    }
  }
}

/**
 * Reads a choir's file: every row as the contract has it, whole and with nothing that leads elsewhere.
 * @throws Problem invalid, with what is wrong and where
 */
export function openChoirFile(bytes: Uint8Array): {
  readonly whole: WholeChoir;
  readonly scores: ReadonlyMap<string, Uint8Array>;
} {
  const scores = unfolded(bytes);
  const text = scores.get(textName);
  if (!text) return refuse(choirFileWords.notOne);
  let read: unknown;
  try {
    read = JSON.parse(strFromU8(text));
  } catch {
    return refuse(choirFileWords.damaged);
  }
  if (!isObject(read) || read.format !== choirFileFormat) return refuse(choirFileWords.notOne);
  if (read.version !== choirFileVersion) return refuse(choirFileWords.newer);
  const unstorable = findUnstorable(read);
  if (unstorable)
    return refuse(choirFileWords.broken('at' in unstorable ? unstorable.at.join('.') : 'depth'));
  let now: unknown;
  try {
    now = upToDate(read);
  } catch {
    return refuse(choirFileWords.broken('plans'));
  }
  const result = wholeChoirSchema.safeParse(now);
  if (!result.success) {
    return refuse(choirFileWords.broken(result.error.issues[0]!.path.join('.')));
  }
  checkRefs(result.data);
  return { whole: result.data, scores };
}

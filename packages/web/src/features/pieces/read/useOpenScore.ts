import { messageOf } from '@wide-fern/client';
import { largestScoreFile } from '@wide-fern/contract';
import type { FoundScore } from '@wide-fern/core';
import { useEffect, useRef, useState } from 'react';
import { ScoreRefused, ScoreWorker } from '../../../here/score/scoreWorker';

export type Opening =
  | { readonly kind: 'none' }
  | { readonly kind: 'reading'; readonly share: number }
  | { readonly kind: 'refused'; readonly message: string }
  | {
      readonly kind: 'read';
      readonly found: FoundScore;
      readonly worker: ScoreWorker;
      /** A new file, or the one that is kept already. */
      readonly file: File | undefined;
    };

const tooLargeInWords = (bytes: number): string =>
  `This file has ${Math.ceil(bytes / 1_000_000)} MB; scores up to ${largestScoreFile / 1_000_000} MB are read. Save it as compressed MusicXML.`;

/** A score's file while it is opened, away from the page; what is asked for last is what is shown. */
export function useOpenScore() {
  const [name, setName] = useState('');
  const [state, setState] = useState<Opening>({ kind: 'none' });
  const worker = useRef<ScoreWorker>(undefined);
  // A worker stands ready before a file is chosen: fetching it takes time too.
  const spare = useRef<ScoreWorker>(undefined);
  useEffect(() => {
    spare.current = new ScoreWorker();
    return () => {
      worker.current?.end();
      spare.current?.end();
    };
  }, []);

  const open = async (
    called: string,
    bytesOf: () => Promise<Uint8Array>,
    file: File | undefined,
  ) => {
    worker.current?.end();
    const mine = spare.current ?? new ScoreWorker();
    spare.current = undefined;
    worker.current = mine;
    setName(called);
    setState({ kind: 'reading', share: 0 });
    try {
      const found = await mine.open(await bytesOf(), (share) => {
        if (worker.current === mine) setState({ kind: 'reading', share });
      });
      if (worker.current === mine) setState({ kind: 'read', found, worker: mine, file });
    } catch (error) {
      if (worker.current !== mine) return;
      const message = error instanceof ScoreRefused ? error.message : messageOf(error);
      setState({ kind: 'refused', message });
    }
  };
  const read = (file: File | undefined) => {
    if (!file) return;
    if (file.size > largestScoreFile) {
      setName(file.name);
      setState({ kind: 'refused', message: tooLargeInWords(file.size) });
      return;
    }
    void open(file.name, async () => new Uint8Array(await file.arrayBuffer()), file);
  };
  const cancel = () => {
    worker.current?.end();
    worker.current = undefined;
    setState({ kind: 'none' });
  };
  return { name, state, open, read, cancel };
}

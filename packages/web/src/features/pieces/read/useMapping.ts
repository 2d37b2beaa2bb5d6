import { messageOf } from '@wide-fern/client';
import type { Piece } from '@wide-fern/contract';
import type { FoundScore, Section } from '@wide-fern/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useHere } from '../../../here/session';
import { bodyOf, keepFile, storePiece } from '../model/changes';
import type { Asks } from '../../../here/score/messages';
import { ScoreRefused, type ScoreWorker } from '../../../here/score/scoreWorker';
import { useAsked } from '../score/useAsked';
import {
  guessedMapping,
  keptMapping,
  mappingOf,
  missingIn,
  type MappingDraft,
} from './mappingModel';

export interface MappingProps {
  readonly name: string;
  readonly file: File | undefined;
  readonly found: FoundScore;
  readonly worker: ScoreWorker;
  readonly sections: readonly Section[];
  readonly piece: Piece | undefined;
}

/** Who sings which line of a score, guessed first, and the piece stored with it. */
export function useMapping({ name, file, found, worker, sections, piece }: MappingProps) {
  const { choir } = useHere();
  const navigate = useNavigate();
  const [draft, setDraft] = useState<MappingDraft>(() => {
    const kept = file ? undefined : piece?.piece.score?.mapping;
    return (kept && keptMapping(found, kept)) ?? guessedMapping(found, sections);
  });
  const fileTitle = name.replace(/\.[^.]+$/, '').replace(/[-_]+/g, ' ');
  const [title, setTitle] = useState(piece?.piece.title ?? (found.title || fileTitle));
  const [composer, setComposer] = useState(piece?.piece.composer || found.composer);
  const [trouble, setTrouble] = useState<string>();
  const [storing, setStoring] = useState(false);
  const mapping = useMemo(() => mappingOf(found, draft), [found, draft]);
  const asked = useMemo(
    (): Asks['reading']['asked'] => ({ mapping, parts: sections.map(({ id }) => id) }),
    [mapping, sections],
  );
  const { answer: reading } = useAsked(worker, 'reading', asked);
  const store = async () => {
    const missing = missingIn(title, found, draft, sections);
    setTrouble(missing);
    if (missing !== undefined) return;
    setStoring(true);
    try {
      const kept = file ? await keepFile(choir.id, file) : undefined;
      const fileId = kept?.id ?? piece!.piece.score!.file;
      const body = {
        ...(piece
          ? bodyOf(piece)
          : { tempo: null, transpose: 0, notes: '', language: found.language.slice(0, 60) }),
        title: title.trim().slice(0, 120),
        composer: composer.trim().slice(0, 120),
        // The server reads them in the file.
        ranges: {},
        score: { file: fileId, mapping },
      };
      const stored = await storePiece(choir.id, body, piece);
      await navigate(`/pieces/${stored.id}`);
    } catch (error) {
      setTrouble(error instanceof ScoreRefused ? error.message : messageOf(error));
      setStoring(false);
    }
  };
  return {
    draft,
    setDraft,
    title,
    setTitle,
    composer,
    setComposer,
    reading,
    trouble,
    storing,
    store,
  };
}

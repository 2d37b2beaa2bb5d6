import { Box, Field, Flex, Textarea } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import type { Section } from '@wide-fern/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { messageOf } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { FormField } from '../../../ui/FormField';
import { MainButton } from '../../../ui/MainButton';
import { useKeptDraft } from '../../../ui/useKeptDraft';
import { Name, WordLink } from '../../../ui/words';
import { storePiece } from '../model/changes';
import { draftOf, readDraft, type DraftErrors, type PieceDraft } from './pieceDraft';
import { RangeFields } from './RangeFields';

/** A piece's words, and each part's lowest and highest note where no score was read. */
export function PieceForm({
  piece,
  sections,
}: {
  readonly piece: Piece | undefined;
  readonly sections: readonly Section[];
}) {
  const { account, choir } = useHere();
  const navigate = useNavigate();
  const [begun] = useState(() => draftOf(piece, choir.writing));
  const [draft, setDraft, forget] = useKeptDraft<PieceDraft>(
    `piece:${account.id}:${choir.id}:${piece ? `${piece.id}:${piece.version}` : 'new'}`,
    begun,
  );
  const [errors, setErrors] = useState<DraftErrors>({});
  const [trouble, setTrouble] = useState<string>();
  const [storing, setStoring] = useState(false);
  const set = (next: Partial<PieceDraft>) => setDraft({ ...draft, ...next });
  const store = async () => {
    const read = readDraft(draft, sections, piece, choir.writing);
    if ('errors' in read) {
      setErrors(read.errors);
      return;
    }
    setErrors({});
    setTrouble(undefined);
    setStoring(true);
    try {
      const stored = await storePiece(choir.id, read.body, piece);
      forget();
      await navigate(`/pieces/${stored.id}`);
    } catch (error) {
      setTrouble(messageOf(error));
      setStoring(false);
    }
  };
  const text = (
    name: 'title' | 'composer' | 'language' | 'tempo',
    label: string,
    help?: string,
  ) => (
    <FormField
      label={label}
      value={draft[name]}
      error={errors[name]}
      {...(help ? { help } : {})}
      {...(name === 'tempo' ? { inputMode: 'decimal' as const } : {})}
      maxLength={120}
      onChange={(event) => set({ [name]: event.currentTarget.value })}
    />
  );
  const hasScore = (piece?.piece.score ?? null) !== null;
  return (
    <Box maxW="640px" w="100%" mx="auto" px="24px" py="24px">
      <Name as="h1" fontSize="34px" mb="12px">
        {piece ? piece.piece.title : 'A new piece'}
      </Name>
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void store();
        }}
      >
        <Box display="grid" gap="12px">
          {text('title', 'Title')}
          {!hasScore && (
            <RangeFields draft={draft} sections={sections} errors={errors} onChange={set} />
          )}
          <Flex gap="12px">
            {text('composer', 'Composer')}
            {text('language', 'Language')}
            {text('tempo', 'Tempo', 'Beats a minute')}
          </Flex>
          <Field.Root>
            <Field.Label fontSize="13px" color="inkSoft" fontWeight={400}>
              Notes
            </Field.Label>
            <Textarea
              bg="sheet"
              borderColor="inkSoft"
              borderRadius="3px"
              rows={4}
              maxLength={4000}
              value={draft.notes}
              onChange={(event) => set({ notes: event.currentTarget.value })}
            />
          </Field.Root>
          {trouble && (
            <Box role="alert" color="brick" fontSize="13px">
              {trouble} What you typed is still here.
            </Box>
          )}
          <Flex gap="24px" align="center">
            <MainButton type="submit" disabled={storing}>
              {piece ? 'Keep it so' : 'Keep the piece'}
            </MainButton>
            <WordLink to={piece ? `/pieces/${piece.id}` : '/pieces'} onClick={forget}>
              leave it
            </WordLink>
          </Flex>
        </Box>
      </form>
    </Box>
  );
}

import { Box, Field, Flex, Input, Textarea } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import { type Section, noteName } from '@wide-fern/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { messageOf } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { hueOf } from '../../../ui/color';
import { FormField } from '../../../ui/FormField';
import { MainButton } from '../../../ui/MainButton';
import { useKeptDraft } from '../../../ui/useKeptDraft';
import { Label, Name, WordLink } from '../../../ui/words';
import { storePiece } from '../model/changes';
import { draftOf, readDraft, type DraftErrors, type PieceDraft } from './pieceDraft';

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
  const [begun] = useState(() => draftOf(piece, choir.accidentals));
  const [draft, setDraft, forget] = useKeptDraft<PieceDraft>(
    `piece:${account.id}:${choir.id}:${piece ? `${piece.id}:${piece.version}` : 'new'}`,
    begun,
  );
  const [errors, setErrors] = useState<DraftErrors>({});
  const [trouble, setTrouble] = useState<string>();
  const [storing, setStoring] = useState(false);
  const set = (next: Partial<PieceDraft>) => setDraft({ ...draft, ...next });
  const store = async () => {
    const read = readDraft(draft, sections, piece);
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
            <Box>
              <Label mb="4px">
                Lowest and highest note of each part, like E♭4 and F5; middle C is C4
              </Label>
              <Box
                display="grid"
                gridTemplateColumns="40px 100px 100px 1fr"
                gap="6px"
                alignItems="center"
              >
                {sections.map(({ id, many, comfort }, place) => {
                  const [low, high] = draft.ranges[id] ?? ['', ''];
                  const change = (range: readonly [string, string]) =>
                    set({ ranges: { ...draft.ranges, [id]: range } });
                  return (
                    <Box key={id} display="contents">
                      <Box fontWeight={700} style={{ color: hueOf(id, place) }}>
                        {id}
                      </Box>
                      <Input
                        size="sm"
                        bg="sheet"
                        aria-label={`${many}, lowest note`}
                        aria-invalid={errors[id] !== undefined}
                        placeholder={noteName(comfort[0], choir.accidentals)}
                        value={low}
                        maxLength={8}
                        onChange={(event) => change([event.currentTarget.value, high])}
                      />
                      <Input
                        size="sm"
                        bg="sheet"
                        aria-label={`${many}, highest note`}
                        aria-invalid={errors[id] !== undefined}
                        placeholder={noteName(comfort[1], choir.accidentals)}
                        value={high}
                        maxLength={8}
                        onChange={(event) => change([low, event.currentTarget.value])}
                      />
                      <Box color="brick" fontSize="13px" role={errors[id] ? 'alert' : undefined}>
                        {errors[id]}
                      </Box>
                    </Box>
                  );
                })}
              </Box>
            </Box>
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

import { Box } from '@chakra-ui/react';
import type { Judging } from '@wide-fern/contract';
import { agreements, nearPairs } from '@wide-fern/core';
import { agreementInWords, listInWords, nearPairsInWords } from '@wide-fern/words';
import { Label } from '../../../ui/words';
import { shortNames } from './names';

type Card = NonNullable<Judging['cards']>[number];

const figures = [1, 2, 3, 4, 5];

const styles = {
  borderCollapse: 'collapse',
  width: '100%',
  maxWidth: '640px',
  fontSize: '13px',
  '& th': { fontWeight: 400, textAlign: 'start', verticalAlign: 'top', padding: '3px 6px 3px 0' },
  '& thead th': { color: 'inkSoft' },
  '& td': { verticalAlign: 'top', padding: '3px 6px' },
  // A scale: each figure as wide as the others.
  '& .score': {
    ...{ textAlign: 'center', borderWidth: '1px', borderColor: 'line', overflowWrap: 'anywhere' },
    width: { base: '38px', md: '64px' },
    padding: { base: '3px 1px', md: '3px 4px' },
  },
  '& thead .score': { border: 0 },
  '& .middle': { background: 'sunk' },
  '& .apart': { fontWeight: 650 },
} as const;

/** What each judge says, skill by skill, and how far they lie apart. */
export function Cards({
  cards,
  skills,
}: {
  readonly cards: readonly Card[];
  readonly skills: Judging['skills'];
}) {
  const all = agreements(cards, skills);
  const names = shortNames(cards.map(({ by }) => by)).map((name, i) =>
    cards[i]!.isOwn ? 'you' : name,
  );
  const saying = (skill: string, score: number) =>
    cards.flatMap((card, i) =>
      card.scores.some((one) => one.skill === skill && one.score === score)
        ? [{ name: names[i]!, isOwn: card.isOwn }]
        : [],
    );
  const notes = cards.flatMap((card, i) =>
    card.scores.flatMap(({ skill, note }) => (note ? [{ who: names[i]!, skill, note }] : [])),
  );
  const targets = [...new Set(cards.flatMap(({ target }) => target ?? []))].map((skill) => ({
    skill,
    who: cards.flatMap((card, i) => (card.target === skill ? [names[i]!] : [])),
  }));
  const near = nearPairsInWords(nearPairs(all));
  return (
    <Box>
      {all.length > 0 && (
        <Box as="table" css={styles}>
          <thead>
            <tr>
              <th scope="col">skill</th>
              {figures.map((score) => (
                <th key={score} scope="col" className="score">
                  {score}
                </th>
              ))}
              <th scope="col">together</th>
            </tr>
          </thead>
          <tbody>
            {all.map((one) => (
              <tr key={one.skill}>
                <th scope="row">{one.skill}</th>
                {figures.map((score) => (
                  <td key={score} className={score === one.middle ? 'score middle' : 'score'}>
                    {saying(one.skill, score).map(({ name, isOwn }, i) => (
                      <Box key={i} fontWeight={isOwn ? 650 : 400}>
                        {name}
                      </Box>
                    ))}
                  </td>
                ))}
                <td className={one.nearness === 'apart' ? 'apart' : undefined}>
                  {agreementInWords(one)}
                </td>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
      {notes.map(({ who, skill, note }, i) => (
        <Label key={i}>
          {who} on {skill}: {note}
        </Label>
      ))}
      {targets.length > 0 && (
        <Box mt="4px">
          Next target:{' '}
          {listInWords(targets.map(({ skill, who }) => `${skill} (${listInWords(who)})`))}.
        </Box>
      )}
      {near && <Box mt="4px">{near}</Box>}
    </Box>
  );
}

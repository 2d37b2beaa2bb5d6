import { Box, Flex } from '@chakra-ui/react';
import type { LogSpan } from '@wide-fern/core';
import { ledIn, type LogbookView } from '@wide-fern/plan';
import {
  closedInWords,
  columnInWords,
  effectInWords,
  latenessInWords,
  lengthInFigures,
  loggedInWords,
  phaseWords,
  shortDay,
} from '@wide-fern/words';
import { useState } from 'react';
import { Link } from 'react-router';
import { useHere } from '../../here/session';
import { lazily } from '../../ui/lazily';
import { Label, Name, WordButton, WordLink } from '../../ui/words';
import type { Opened } from './shown';
import type { LogbookData } from './useLogbook';

const CourseWays = lazily(() => import('./CourseWays'));

const mostEffects = 3;
const mostClosed = 2;
const mostUnused = 7;
/** More weeks are told in figures alone. */
const mostStrokes = 9;

/** Beside the table: what was opened in it, whether it helped, what is not used, how evenings ended. */
export function Aside({
  data: { view, dayOf },
  span,
  opened,
  onClose,
}: {
  readonly data: Extract<LogbookData, { kind: 'ready' }>;
  readonly span: LogSpan;
  readonly opened: Opened | undefined;
  readonly onClose: () => void;
}) {
  const late = latenessInWords(view, dayOf);
  return (
    <Flex
      as="aside"
      direction="column"
      gap="20px"
      w={{ base: '100%', xl: '256px' }}
      flexShrink={0}
      fontSize="13px"
      pl={{ xl: '18px' }}
      borderLeftWidth={{ xl: '1px' }}
    >
      {opened && <OpenedWork {...{ view, span, opened, onClose }} />}
      {!opened && <Helped view={view} />}
      {!opened && <CourseWays />}
      <NotUsed unused={view.unused} />
      {late && (
        <Box as="section" mt="auto">
          <Title>{late.title}</Title>
          <Box>{late.words}</Box>
        </Box>
      )}
    </Flex>
  );
}

function Title({ children }: { readonly children: string }) {
  return (
    <Name as="h2" fontSize="18px" mb="4px">
      {children}
    </Name>
  );
}

/** What was led on one kind of work in one column, evening by evening. */
function OpenedWork({
  view,
  span,
  opened: { column, phase },
  onClose,
}: {
  readonly view: LogbookView;
  readonly span: LogSpan;
  readonly opened: Opened;
  readonly onClose: () => void;
}) {
  const { choir } = useHere();
  const found = view.columns.find((one) => one.column === column);
  return (
    <Box as="section" aria-live="polite">
      <Title>{`${phaseWords[phase]}, ${columnInWords(column, span)}`}</Title>
      {found &&
        ledIn(found, phase).map(({ evening, led }) => (
          <Box key={evening.id} mb="8px">
            <WordLink to={`/evenings/${evening.id}/led/${evening.runs[0]?.item ?? 'warm-up'}`}>
              {shortDay(evening.startsAt, choir.timeZone)}
            </WordLink>
            {led.map((one, i) => (
              <Flex key={i} justify="space-between" gap="8px">
                <Box>
                  <Name as="span">{one.name}</Name>
                  <Label as="span"> {loggedInWords(one, choir.writing)}</Label>
                </Box>
                <Box>{lengthInFigures(one.singing)}</Box>
              </Flex>
            ))}
          </Box>
        ))}
      <WordButton fontSize="13px" minH="28px" onClick={onClose}>
        close
      </WordButton>
    </Box>
  );
}

/** Whether it helped: how often a skill was judged better after it was led; never more than can be said. */
function Helped({ view: { effects, closed } }: { readonly view: LogbookView }) {
  const [isAll, setAll] = useState(false);
  const few = isAll ? effects.length : mostEffects;
  return (
    <Box as="section">
      <Title>Did it help?</Title>
      {effects.length === 0 && (
        <Box>
          Judge a piece on two evenings, and here it says whether what you led in between helped.
        </Box>
      )}
      {effects.slice(0, few).map((one) => (
        <Box key={one.skill} mb="6px">
          {effectInWords(one)}
          {isAll &&
            one.byPiece.map(({ title, effect }) => (
              <Label key={title}>{effectInWords({ skill: one.skill, all: effect, title })}</Label>
            ))}
        </Box>
      ))}
      {closed.slice(isAll ? 0 : -mostClosed).map((one) => (
        <Box key={`${one.title} ${one.skill} ${one.from}`} mb="6px">
          {closedInWords(one)}
        </Box>
      ))}
      {effects.length > 0 && (
        <WordButton
          fontSize="13px"
          minH="28px"
          aria-expanded={isAll}
          onClick={() => setAll(!isAll)}
        >
          {isAll ? 'less' : 'every skill, piece by piece'}
        </WordButton>
      )}
    </Box>
  );
}

function NotUsed({ unused }: Pick<LogbookView, 'unused'>) {
  const [isAll, setAll] = useState(false);
  if (unused.length === 0) return null;
  return (
    <Box as="section">
      <Title>Not led for long</Title>
      <Box as="ul" listStyleType="none" p={0}>
        {unused.slice(0, isAll ? undefined : mostUnused).map(({ exercise, name, weeks }) => (
          <Flex
            as="li"
            key={exercise}
            justify="space-between"
            align="center"
            gap="8px"
            minH="29px"
            borderBottomWidth="1px"
          >
            <Name as="span" fontSize="14px" truncate>
              <Link to={`/exercises/${exercise}`}>{name}</Link>
            </Name>
            <Flex gap="5px" flexShrink={0} aria-label={`${weeks} weeks`} role="img">
              {weeks <= mostStrokes
                ? Array.from({ length: weeks }, (_, i) => (
                    <Box key={i} w="1.5px" h="12px" bg={i === 0 ? 'ink' : 'inkSoft'} />
                  ))
                : `${weeks} weeks`}
            </Flex>
          </Flex>
        ))}
      </Box>
      <Label mt="4px">One stroke a week since it was led last.</Label>
      {unused.length > mostUnused && (
        <WordButton
          fontSize="13px"
          minH="28px"
          aria-expanded={isAll}
          onClick={() => setAll(!isAll)}
        >
          {isAll ? 'fewer' : `all ${unused.length}`}
        </WordButton>
      )}
    </Box>
  );
}

import { Box } from '@chakra-ui/react';
import { hasKeys, type NoteWriting, type Section } from '@wide-fern/core';
import type { Evaluated } from '@wide-fern/plan';
import { keyPath, lengthInFigures, strideInWords, wordingFor } from '@wide-fern/words';
import { memo } from 'react';
import { lazily } from '../../ui/lazily';
import { Attention } from '../../ui/Attention';
import { color } from '../../ui/color';
import { Name } from '../../ui/words';

/** What is pulled comes right behind what is seen. */
const SegmentEnds = lazily(() =>
  import('./SegmentEnds').then((it) => ({ default: it.SegmentEnds })),
);

/** How much of a segment's words a width can hold. */
type Room = 'all' | 'two lines' | 'number';
function roomFor(name: string, width: number): Room {
  if (width >= name.length * 7.3 + 14) return 'all';
  const longest = Math.max(...name.split(' ').map((word) => word.length));
  return width >= longest * 7.6 + 12 ? 'two lines' : 'number';
}

/** What one segment of the strip is drawn from. */
interface OfStripItem {
  readonly evaluated: Evaluated;
  readonly place: number;
  readonly width: number;
  /** How much of it lies outside the view, on its left and on its right (px). */
  readonly before: number;
  readonly behind: number;
  /** How its keys are named: by whom, and as the choir writes them. */
  readonly sections: readonly Section[];
  readonly writing: NoteWriting;
  /** What of it the place does not allow, in words. */
  readonly not: string | undefined;
  readonly isChosen: boolean;
  /** Whether it is chosen beside the chosen one. */
  readonly isAlso: boolean;
  readonly mayEdit: boolean;
  /** What is done to it, by its id; the same whenever it is drawn. */
  readonly acts: StripActs;
}

/** What can be done to the segments of a strip. */
export interface StripActs {
  readonly choose: (segment: string, beside: boolean) => void;
  readonly resize: (segment: string, repetitions: number) => void;
  readonly talk: (segment: string, seconds: number) => void;
}

/** Drawn again only when something of this very segment changes: those behind one that grows only move. */
export const StripItem = memo(Item, (one, other) => {
  const near = (a: number, b: number) => Math.abs(a - b) < 0.01;
  const { computed: was } = one.evaluated;
  const { computed: is } = other.evaluated;
  return (
    one.evaluated.segment === other.evaluated.segment &&
    was.repetitions === is.repetitions &&
    was.placed.shown === is.placed.shown &&
    (['width', 'before', 'behind'] as const).every((name) => near(one[name], other[name])) &&
    (['place', 'sections', 'writing', 'not', 'isChosen', 'isAlso', 'mayEdit'] as const).every(
      (name) => one[name] === other[name],
    )
  );
});

function Item({
  evaluated,
  place,
  width,
  before,
  behind,
  sections,
  writing,
  not,
  isChosen,
  isAlso,
  mayEdit,
  acts,
}: OfStripItem) {
  const { segment, computed } = evaluated;
  const { name } = segment.exercise;
  const { pinned = false } = segment.choices;
  const seen = width - before - behind;
  const room = roomFor(name, seen);
  const talkShare = (100 * computed.talk) / Math.max(1, computed.seconds);
  const length = lengthInFigures(computed.placed.shown);
  const { keys } = computed;
  // Nobody can sing it, or somebody has to go beyond what they can.
  const stuck =
    keys.kind !== 'none' && (!keys.sung || (keys.kind === 'ladder' && !!keys.sung.beyond));
  // From the first key to the last.
  const path = hasKeys(segment.exercise.music)
    ? keyPath(keys, wordingFor(sections, segment, writing))
    : '';
  const pathFits = room === 'all' && seen >= (length.length + path.length) * 6.4 + 22;
  return (
    <li style={{ width, flexShrink: 0, position: 'relative' }}>
      <button
        data-drawn
        data-segment={segment.id}
        aria-current={isChosen ? 'true' : undefined}
        aria-label={`${place}. ${name}, ${strideInWords(segment)}, ${length}${path ? `, ${path}` : ''}${not ? `. ${not}` : ''}${pinned ? ', stays as it is' : ''}${isAlso ? ', chosen too' : ''}`}
        onClick={(event) => acts.choose(segment.id, event.shiftKey)}
        tabIndex={isChosen ? 0 : -1}
        style={{
          ...{ position: 'relative', display: 'block', width: '100%', height: isChosen ? 56 : 54 },
          ...{ textAlign: 'left', overflow: 'hidden', touchAction: 'pan-y' },
          ...(isChosen ? { zIndex: 1 } : {}),
          cursor: mayEdit ? 'grab' : 'pointer',
          background: isChosen ? color('sheet') : isAlso ? color('sunk') : 'transparent',
          ...{ borderRightWidth: 1, borderLeftWidth: isChosen ? 2 : 0 },
          borderColor: color(isChosen ? 'fern' : 'line'),
          paddingTop: 3,
          // Outside the view there is nothing to push aside.
          paddingLeft: 5 + (seen > 12 ? before : 0),
          paddingRight: 5 + (seen > 12 ? behind : 0),
          ...{ fontSize: 12, lineHeight: '15px' },
        }}
      >
        <svg
          width="100%"
          height="3"
          aria-hidden="true"
          style={{ position: 'absolute', top: 0, left: 0 }}
        >
          <line
            x1="2"
            x2={`${talkShare}%`}
            y1="1.5"
            y2="1.5"
            stroke={color('inkSoft')}
            strokeWidth="2"
            strokeDasharray="2 2.5"
          />
          <line
            x1={`${talkShare}%`}
            x2="100%"
            y1="1.5"
            y2="1.5"
            stroke={color(isChosen ? 'fern' : 'inkSoft')}
            strokeWidth="3"
          />
        </svg>
        {room === 'number' ? (
          <div style={{ fontWeight: 650, textAlign: 'center', paddingTop: 14 }}>{place}</div>
        ) : (
          <>
            <Named name={name} not={not} onOneLine={room === 'all'} />
            {room === 'all' && (
              <div style={{ color: color('inkSoft'), whiteSpace: 'nowrap', overflow: 'hidden' }}>
                {strideInWords(segment)}
              </div>
            )}
            <div style={{ display: 'flex', justifyContent: 'space-between', whiteSpace: 'nowrap' }}>
              <span style={{ fontWeight: 700 }}>{length}</span>
              {pathFits && <span style={{ color: color(stuck ? 'brick' : 'ink') }}>{path}</span>}
            </div>
          </>
        )}
        {pinned && <Pinned />}
      </button>
      {mayEdit && (
        <SegmentEnds
          {...{ evaluated, width, isChosen }}
          onResize={(repetitions) => acts.resize(segment.id, repetitions)}
          onTalk={(seconds) => acts.talk(segment.id, seconds)}
        />
      )}
    </li>
  );
}

/** The name of a segment, and what of it is not possible. */
const Named = memo(
  ({
    name,
    not,
    onOneLine,
  }: {
    readonly name: string;
    readonly not: string | undefined;
    readonly onOneLine: boolean;
  }) => (
    <Name
      fontSize="13px"
      lineHeight="16px"
      mt="2px"
      whiteSpace={onOneLine ? 'nowrap' : 'normal'}
      overflow="hidden"
      overflowWrap="normal"
    >
      {name}
      {not && <Attention words={not} />}
    </Name>
  ),
);

/** A bar at the foot of a segment that stays as it is. */
const Pinned = () => (
  <Box
    data-pinned
    aria-hidden="true"
    position="absolute"
    left="5px"
    bottom="1px"
    w="16px"
    h="3px"
    bg="ink"
  />
);

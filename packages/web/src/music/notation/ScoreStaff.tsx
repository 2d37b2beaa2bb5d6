import { Box } from '@chakra-ui/react';
import { scoreInWords } from '@wide-fern/words';
import { type NoteWriting, type Score } from '@wide-fern/core';
import { useEffect, useRef, useState, type MouseEvent } from 'react';
import { useWidth } from '../../ui/useSize';
import { canBeClosed, engraveClosed } from './closed';
import { engrave, leastHeight, stepOfTonic, type Engraved } from './engrave';
import { loadMusicFont } from './fonts';

/** Where a staff was pointed at: the event there, if any, and the step of the scale at that height. */
export interface PointedAt {
  readonly event: number | undefined;
  /** 1 is the tonic, 0 the step below it. */
  readonly step: number;
}

/** How near to a head, in px, a click belongs to it. */
const nearHead = 16;

/** One key of a score in notation, with its name in words for those who cannot see it. */
export default function ScoreStaff({
  score,
  keyIndex = 0,
  writing,
  selected,
  onPoint,
  closed,
}: {
  readonly score: Score;
  readonly keyIndex?: number;
  readonly writing: NoteWriting;
  readonly selected?: number | undefined;
  /** Makes the staff something to click: it answers where. */
  readonly onPoint?: (at: PointedAt) => void;
  /** Four parts on two staves, with the printed numbers of the bars. */
  readonly closed?: { readonly numbers: readonly number[] } | undefined;
}) {
  const outer = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const engraved = useRef<Engraved>(undefined);
  const width = useWidth(outer);
  const [ready, setReady] = useState(false);
  useEffect(() => {
    let wanted = true;
    void loadMusicFont().then(() => {
      if (wanted) setReady(true);
    });
    return () => {
      wanted = false;
    };
  }, []);
  const key = score.keys[keyIndex];
  useEffect(() => {
    if (!ready || !frame.current || !key) return;
    if (closed && canBeClosed(score)) {
      const { numbers } = closed;
      engraveClosed(frame.current, { score, writing, width: Math.max(240, width), numbers });
      return;
    }
    const names = score.parts.map(({ id }) => id);
    engraved.current = engrave(frame.current, {
      score,
      keyIndex,
      writing,
      width: Math.max(240, width),
      selected,
      names,
    });
  }, [ready, score, keyIndex, key, writing, width, selected, closed]);
  if (!key) return null;
  const nameOf = (id: string) => {
    const name = score.parts.find((part) => part.id === id)?.name ?? id;
    return { one: name, many: name };
  };
  const point = (event: MouseEvent<HTMLDivElement>) => {
    if (!onPoint || !frame.current || !engraved.current) return;
    const { left, top } = frame.current.getBoundingClientRect();
    const x = event.clientX - left;
    const y = event.clientY - top;
    const { heads, stepAt } = engraved.current;
    const here = heads.filter((head) => y >= head.top && y < head.bottom);
    const near = (here.length > 0 ? here : heads).reduce<(typeof heads)[number] | undefined>(
      (a, b) => (!a || Math.abs(b.x - x) < Math.abs(a.x - x) ? b : a),
      undefined,
    );
    const step = stepAt(y) - stepOfTonic(key.tonic, score, writing) + 1;
    const isOn = near && Math.abs(near.x - x) <= nearHead;
    onPoint({ event: isOn ? near.event : undefined, step });
  };
  return (
    <Box ref={outer} w="100%">
      <Box
        ref={frame}
        role="img"
        aria-label={scoreInWords(key.lines, {
          tonic: key.tonic,
          mode: score.mode,
          writing,
          parts: nameOf,
        })}
        color="ink"
        // What stands below does not move when the staff is drawn.
        minH={closed ? '254px' : `${leastHeight(key.lines.length)}px`}
        cursor={onPoint ? 'crosshair' : undefined}
        onClick={point}
      />
    </Box>
  );
}

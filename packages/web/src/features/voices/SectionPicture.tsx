import { Box, Flex } from '@chakra-ui/react';
import { countInWords, conditionInWords } from '@wide-fern/words';
import { useHere } from '../../here/session';
import { hueOf } from '../../ui/color';
import { usePageHeight, useRowHeight } from '../../ui/useSize';
import { Label, WordLink } from '../../ui/words';
import { pitchAxis } from './drawing/geometry';
import { KeyAxis, type PieceSpan } from './drawing/KeyAxis';
import { Legend } from './drawing/Legend';
import { ShareCurve } from './drawing/ShareCurve';
import { SingerRows } from './drawing/SingerRows';
import type { SectionView, VoicesSetting } from './model/section';

/** What stands above and below the rows, in px, at the usual sizes. */
const around = 406;
const usualRow = 26;

/** Share curve, singers, keys and pieces of one section on one pitch axis. */
export function SectionPicture({
  section,
  place,
  pieces,
  setting,
  width,
  chosen,
  onChoose,
  onWanted,
}: {
  readonly section: SectionView;
  readonly place: number;
  readonly pieces: readonly PieceSpan[];
  readonly setting: VoicesSetting;
  readonly width: number;
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
  readonly onWanted: (wanted: number) => void;
}) {
  const { choir } = useHere();
  const pageHeight = usePageHeight();
  const rowHeight = useRowHeight(usualRow);
  const { part, rows, section: band, picture } = section;
  const hue = hueOf(part.id, place);
  const condition = setting.presence?.condition ?? 'rested';
  const gutter = width < 600 ? 104 : 204;
  const axis = pitchAxis(
    [
      band.reach,
      ...rows.flatMap(({ range }) => (range ? [range.reach] : [])),
      ...pieces.map(({ range }) => range),
    ],
    { left: gutter, right: width },
  );
  const mostRows = Math.max(6, Math.floor((pageHeight - around - pieces.length * 19) / rowHeight));
  const below = rows.length - mostRows;
  const register = band.register ?? { zone: part.change, asked: 0 };
  const here = rows.flatMap(({ away, range }) => (away || !range ? [] : [range]));
  return (
    <Box mt="4px">
      {picture ? (
        <ShareCurve
          picture={picture}
          here={here}
          axis={axis}
          width={width}
          hue={hue}
          register={register}
          writing={choir.writing}
          onWanted={onWanted}
        />
      ) : (
        <Box py="16px" maxW="68ch">
          {rows.length === 0 ? (
            <>
              Nobody sings {part.one} here yet.{' '}
              <WordLink to="/voices/roster">Add singers to the roster</WordLink>, one by one or from
              a list.
            </>
          ) : (
            'Choose a singer and check the range, or check the whole section at once.'
          )}
        </Box>
      )}
      {rows.length > 0 && (
        <SingerRows
          rows={rows}
          axis={axis}
          band={band.comfort}
          width={width}
          hue={hue}
          mostRows={mostRows}
          rowHeight={rowHeight}
          chosen={chosen}
          onChoose={onChoose}
        />
      )}
      <KeyAxis
        axis={axis}
        band={band.comfort}
        pieces={pieces}
        width={width}
        hue={hue}
        writing={choir.writing}
      />
      <Flex mt="6px" gap="24px" justify="space-between" wrap="wrap" align="center">
        <Legend hue={hue} asked={register.asked} />
        <Label fontSize="12px">
          {[
            conditionInWords(condition, setting.voices.trims.conditions[condition]),
            below > 0 ? `${countInWords(below)} more in the list, scroll` : '',
          ]
            .filter((words) => words !== '')
            .join(' · ')}
        </Label>
      </Flex>
    </Box>
  );
}

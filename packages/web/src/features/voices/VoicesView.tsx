import { Box, Flex } from '@chakra-ui/react';
import { singersWanted } from '@wide-fern/core';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useHere } from '../../here/session';
import { lazily } from '../../ui/lazily';
import { useWidth } from '../../ui/useSize';
import { Name, WordLink } from '../../ui/words';
import { whenInWords } from '@wide-fern/words';
import { rowsTonight, sectionView } from './model/section';
import { sectionSentence } from './model/words';
import { Panel } from './panel/Panel';
import type { PanelKind } from './panel/props';
import { PartTabs } from './PartTabs';
import { SectionPicture } from './SectionPicture';
import type { ReadyVoices } from './model/useVoices';

const SentIn = lazily(() => import('./SentIn'));

/** Below this width the panel stands beneath the picture. */
const narrowBelow = 1000;

/** A section's picture, and beside it whoever or whatever was chosen. */
export function VoicesView({ data }: { readonly data: ReadyVoices }) {
  const { choir } = useHere();
  const { voices, singers, evening, setting } = data;
  const [params, setParams] = useSearchParams();
  const [chosen, setChosen] = useState<string>();
  const [panel, setPanel] = useState<PanelKind>(params.has('who') ? 'tonight' : 'section');
  /** A share that is only looked at; null while the choir's own holds. */
  const [looked, setLooked] = useState<number | null>(null);
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);

  const percent = looked ?? voices.sharePercent;
  const rows = useMemo(() => rowsTonight(singers, setting), [singers, setting]);
  const sections = useMemo(
    () => voices.parts.map((part) => sectionView(part, rows, setting, percent / 100)),
    [voices.parts, rows, setting, percent],
  );
  const undecided = useMemo(() => rows.filter(({ singer }) => singer.part === null), [rows]);
  const place = Math.max(
    0,
    sections.findIndex(({ part }) => part.id === params.get('part')),
  );
  const section = sections[place]!;
  const row = section.rows.find(({ singer }) => singer.id === chosen);
  const startsAt = evening?.startsAt;
  const when = useMemo(
    () =>
      startsAt === undefined
        ? ''
        : whenInWords(startsAt, Date.now(), choir.timeZone).replace(/^Tonight$/, 'tonight'),
    [startsAt, choir.timeZone],
  );
  const sentence = sectionSentence(
    section,
    when === 'tonight' || when === '' ? when : `on ${when}`,
    choir.writing,
  );
  // The picture stands first; what is beside it follows in the next frame.
  const withPanel = useDeferredValue(true, false);
  const narrow = width < narrowBelow;
  const margin = width < 700 ? 16 : 40;
  // On a small screen the panel stands below; what was opened there is brought into view.
  const panelFrame = useRef<HTMLDivElement>(null);
  const opened = `${panel} ${chosen ?? ''}`;
  const before = useRef(params.has('who') ? '' : opened);
  useEffect(() => {
    if (width === 0) return;
    if (narrow && before.current !== opened) panelFrame.current?.scrollIntoView();
    before.current = opened;
  }, [narrow, width, opened]);
  const pictureWidth = Math.max(280, narrow ? width - 2 * margin : width - 2 * margin - 336);

  return (
    <Box ref={frame}>
      <Flex px={`${margin}px`} pt="14px" pb="16px" gap="0" direction={narrow ? 'column' : 'row'}>
        <Box w={`${pictureWidth}px`} flexShrink={0}>
          <Name
            as="h1"
            fontSize={{ base: '18px', md: '24px' }}
            lineHeight={{ base: '24px', md: '32px' }}
            mb="8px"
          >
            {sentence}
          </Name>
          <SentIn singers={singers} parts={voices.parts} />
          <PartTabs
            sections={sections}
            chosen={section.part.id}
            writing={choir.writing}
            onChoose={(part) => {
              setParams({ part }, { replace: true });
              setChosen(undefined);
              if (panel !== 'tonight') setPanel('section');
            }}
          />
          <SectionPicture
            section={section}
            place={place}
            pieces={(evening?.pieces ?? []).flatMap(({ title, ranges }) => {
              const range = ranges[section.part.id];
              return range ? [{ title, range }] : [];
            })}
            setting={setting}
            width={pictureWidth}
            chosen={chosen}
            onChoose={(id) => {
              setChosen(id);
              if (panel !== 'tonight') setPanel('singer');
            }}
            onWanted={(wanted) => {
              const { singers: count } = section.picture ?? { singers: 1 };
              const wish = Math.floor((100 * wanted) / count);
              setLooked(singersWanted(count, voices.sharePercent / 100) === wanted ? null : wish);
            }}
          />
        </Box>
        <Box
          ref={panelFrame}
          flex="1"
          minW={0}
          ml={narrow ? 0 : '20px'}
          pl={narrow ? 0 : '20px'}
          mt={narrow ? '24px' : 0}
          borderLeftWidth={narrow ? 0 : '1px'}
          borderTopWidth={narrow ? '1px' : 0}
          pt={narrow ? '16px' : 0}
        >
          {withPanel && (
            <Panel
              kind={panel}
              data={data}
              section={section}
              sections={sections}
              undecided={undecided}
              place={place}
              row={row}
              looked={looked}
              onLook={setLooked}
              onOpen={setPanel}
            />
          )}
          <Flex gap="16px" wrap="wrap" mt="24px" pt="12px" borderTopWidth="1px" fontSize="13px">
            <WordLink to="/voices/roster">the whole roster</WordLink>
            <WordLink to="/voices/parts">parts and what conditions do</WordLink>
          </Flex>
        </Box>
      </Flex>
    </Box>
  );
}

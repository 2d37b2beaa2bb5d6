import { Box, Flex } from '@chakra-ui/react';
import type { NoteWriting } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { keyPath, lengthInFigures, wordingFor } from '@wide-fern/words';
import { useMemo, type ReactNode } from 'react';
import { GutterLine } from '../../../music/lanes/GutterLine';
import { SignShapes } from '../../../music/lanes/SignShapes';
import { signScale, signsOf } from '../../../music/lanes/signs';
import { color, hueOf } from '../../../ui/color';
import { SvgText } from '../../../ui/SvgText';
import { Label, Name } from '../../../ui/words';
import { closedLanes, openedLanes, type RowsLayout } from './drawing/rowLayout';

/** A plan drawn small and to scale: names and keys of its segments above, where each part sings below. */
export function ProposalRow({
  label,
  plan,
  layout,
  isOpen,
  writing,
  chosen,
  pinned,
  onChoose,
  beside,
  under,
}: {
  /** What it is called: «first», «now». */
  readonly label: string;
  readonly plan: EvaluatedPlan;
  readonly layout: RowsLayout;
  readonly isOpen: boolean;
  readonly writing: NoteWriting;
  /** The segment whose reasons are open, by its id. */
  readonly chosen: string | undefined;
  readonly pinned: ReadonlySet<string>;
  readonly onChoose: (segment: string) => void;
  /** What is said of it, and what can be done with it. */
  readonly beside: ReactNode;
  /** What stands under its name. */
  readonly under: ReactNode;
}) {
  const { axis, narrow, width } = layout;
  return (
    <Box
      as="section"
      aria-label={`Proposal: ${label}`}
      bg={isOpen ? 'sheet' : undefined}
      borderBottomWidth="1px"
      boxShadow={isOpen ? 'inset 4px 0 0 var(--chakra-colors-fern)' : undefined}
      position="relative"
      py="8px"
    >
      <Flex
        position={narrow ? 'static' : 'absolute'}
        left="24px"
        top="8px"
        w={narrow ? undefined : '74px'}
        direction={narrow ? 'row' : 'column'}
        align="baseline"
        gap={narrow ? '10px' : '0'}
        px={narrow ? '16px' : 0}
        fontSize="13px"
        lineHeight="1.3"
      >
        <Name as="h2" fontSize="18px">
          {label}
        </Name>
        {under}
      </Flex>
      <Segments
        plan={plan}
        layout={layout}
        writing={writing}
        chosen={chosen}
        pinned={pinned}
        onChoose={onChoose}
        label={label}
      />
      <Lanes plan={plan} layout={layout} isOpen={isOpen} label={label} />
      {narrow && isOpen && (
        <Label px="16px" mt="4px">
          {plan.segments.map(({ segment }, i) => `${i + 1} ${segment.exercise.name}`).join(' · ')}
        </Label>
      )}
      <Box
        position={narrow ? 'static' : 'absolute'}
        left={narrow ? undefined : `${axis.right + 12}px`}
        top="8px"
        w={narrow ? undefined : `${width - axis.right - 32}px`}
        px={narrow ? '16px' : 0}
        pt={narrow ? '6px' : 0}
        fontSize="13px"
      >
        {beside}
      </Box>
    </Box>
  );
}

/** About how wide a letter of the face of names is, in px. */
const letter = 7.1;

/** The segments by name, to scale; each opens its reasons. */
function Segments({
  plan,
  layout: { axis },
  writing,
  chosen,
  pinned,
  onChoose,
  label,
}: {
  readonly plan: EvaluatedPlan;
  readonly layout: RowsLayout;
  readonly writing: NoteWriting;
  readonly chosen: string | undefined;
  readonly pinned: ReadonlySet<string>;
  readonly onChoose: (segment: string) => void;
  readonly label: string;
}) {
  const { sections } = plan.document.tonight;
  return (
    <Box
      as="ol"
      listStyleType="none"
      position="relative"
      h="50px"
      aria-label={`Segments, ${label}`}
    >
      {plan.segments.map(({ segment, computed }, i) => {
        const { id, exercise } = segment;
        const left = axis.x(computed.placed.from);
        const width = axis.x(computed.placed.to) - left;
        const path = keyPath(computed.keys, wordingFor(sections, segment, writing));
        const length = lengthInFigures(computed.placed.shown);
        const longest = Math.max(...exercise.name.split(' ').map((word) => word.length));
        const fits = width >= longest * letter + 8;
        const oneLine = width >= exercise.name.length * letter + 8;
        const isPinned = pinned.has(id);
        return (
          <Box
            as="li"
            key={id}
            position="absolute"
            left={`${left}px`}
            w={`${width}px`}
            h="50px"
            borderLeftWidth="1px"
          >
            <Box
              as="button"
              data-drawn
              data-proposed={exercise.id}
              aria-pressed={chosen === id}
              aria-label={`${i + 1}. ${exercise.name}, ${length}${path ? `, ${path}` : ''}${isPinned ? ', stays' : ''}`}
              onClick={() => onChoose(id)}
              w="100%"
              h="100%"
              display="flex"
              flexDirection="column"
              alignItems="stretch"
              px="4px"
              textAlign="left"
              fontSize="12px"
              lineHeight="15px"
              overflow="hidden"
              cursor="pointer"
              bg={chosen === id ? 'sunk' : undefined}
              color={isPinned ? 'fern' : undefined}
            >
              {fits ? (
                <>
                  <Name
                    fontSize="13px"
                    lineHeight="16px"
                    whiteSpace={oneLine ? 'nowrap' : 'normal'}
                    overflow="hidden"
                    maxH="32px"
                    overflowWrap="normal"
                    wordBreak="normal"
                  >
                    {exercise.name}
                  </Name>
                  {oneLine && (
                    <Box color="inkSoft" whiteSpace="nowrap" overflow="hidden" h="15px">
                      {path}
                    </Box>
                  )}
                  <Box fontWeight={650}>{length}</Box>
                </>
              ) : (
                <Box textAlign="center" fontWeight={650} pt="14px">
                  {width >= 12 ? i + 1 : ''}
                </Box>
              )}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** Where each part sings: a lane each where the row is open, all on one where it is not. */
function Lanes({
  plan,
  layout: { axis, width, narrow },
  isOpen,
  label,
}: {
  readonly plan: EvaluatedPlan;
  readonly layout: RowsLayout;
  readonly isOpen: boolean;
  readonly label: string;
}) {
  const { sections } = plan.document.tonight;
  const { height, lanes, middle } = useMemo(
    () => (isOpen ? openedLanes(sections) : closedLanes(sections)),
    [sections, isOpen],
  );
  const end = axis.x(plan.total);
  return (
    <svg
      width={narrow ? width : axis.right + 6}
      height={height}
      role="img"
      aria-label={`What each part sings when, ${label}.`}
      style={{ display: 'block' }}
    >
      {sections.map(({ id, comfort: [low, high] }, place) => {
        const lane = lanes[place]!;
        return isOpen ? (
          <g key={id}>
            <rect
              x={axis.left}
              y={lane.y(high)}
              width={axis.right - axis.left}
              height={lane.y(low) - lane.y(high)}
              fill={hueOf(id, place)}
              fillOpacity={0.085}
            />
            {!narrow && (
              <SvgText
                x={axis.left - 14}
                y={(lane.y(high) + lane.y(low)) / 2 + 5}
                textAnchor="end"
                size={15}
                weight={700}
                hue={hueOf(id, place)}
              >
                {id}
              </SvgText>
            )}
          </g>
        ) : null;
      })}
      {!isOpen && (
        <rect
          x={axis.left}
          y={0}
          width={axis.right - axis.left}
          height={height}
          fill={color('sunk')}
          fillOpacity={0.6}
        />
      )}
      {plan.segments.map((evaluated) => {
        const { segment, computed } = evaluated;
        const from = axis.x(computed.placed.from);
        const scale = signScale(computed.repetitions, axis) * (isOpen ? 0.85 : 0.55);
        return (
          <g key={segment.id}>
            <line x1={from} x2={from} y1={0} y2={height} stroke={color('line')} />
            <GutterLine evaluated={evaluated} axis={axis} y={middle} />
            {sections.map((section, place) => {
              const { id, comfort, reach } = section;
              // Parts on one lane stand beside each other within the time of their key.
              const shift = isOpen ? 0 : (place - (sections.length - 1) / 2) * 2;
              const signs = computed.repetitions.flatMap((repetition) => {
                const sounding = repetition.parts.find(({ part }) => part === id);
                if (!sounding || (!isOpen && sounding.does === 'rest')) return [];
                const { music } = segment.exercise;
                const { from: begin } = computed.placed;
                const drawnIn = { axis, lane: lanes[place]!, comfort, reach };
                return signsOf(sounding, repetition, music, begin, false, drawnIn);
              });
              // What is small says where it lies; its edges are seen when it is opened.
              const shown = signs.filter(
                ({ kind }) => isOpen || (kind !== 'wedge' && kind !== 'bars'),
              );
              return (
                <g key={id} transform={`translate(${shift} 0)`}>
                  <SignShapes signs={shown} hue={hueOf(id, place)} scale={scale} />
                </g>
              );
            })}
          </g>
        );
      })}
      {plan.segments.length > 0 && (
        <line x1={end} x2={end} y1={0} y2={height} stroke={color('fern')} strokeWidth={2} />
      )}
    </svg>
  );
}

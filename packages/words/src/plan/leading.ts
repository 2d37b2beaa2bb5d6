import type {
  Approach,
  LowVoiceOrder,
  PurposeTime,
  TooHighOrder,
  VoiceOrder,
} from '@wide-fern/core';
import { shapeWords } from '../labels';
import { counted } from '../counting';

/** Who sings when, and in which keys. */
export const voiceOrderWords: Readonly<Record<VoiceOrder, string>> = {
  all: 'all voices in the same keys',
  'in turn': 'high voices first, then low ones',
  together: 'high and low voices each in their own keys',
};

/** How tenors and basses sing. */
export const lowVoiceWords: Readonly<Record<LowVoiceOrder, string>> = {
  below: 'an octave below the women, or lower',
  light: 'light, at the pitch of the women',
};

/** What a part does that cannot go along. */
export const tooHighWords: Readonly<Record<TooHighOrder, string>> = {
  rest: 'whoever cannot go along drops out',
  octave: 'whoever cannot go along goes to another octave',
  never: 'nobody is led out of comfort',
};

export const purposeTimeWords: Readonly<Record<PurposeTime, string>> = {
  before: 'what it is for is said before',
  after: 'what it is for is said afterwards',
};

export const untilRightWords = (until: boolean): string =>
  until ? 'again until it is right' : 'as often as it says';

/** How a way of warming up is led, where it says so: «up, 3 to 10 keys; tenors and basses light …». */
export function approachLedInWords({
  shape,
  bySteps,
  keys,
  voices,
  lowVoices,
  tooHigh,
  talk,
  purposeSaid,
  untilRight,
  habit,
}: Approach): string {
  return [
    ...(shape ? [`keys ${shapeWords[shape]}${bySteps ? ' by steps of the scale' : ''}`] : []),
    ...(keys ? [`${keys[0]} to ${counted(keys[1], 'key', 'keys')}`] : []),
    ...(voices ? [voiceOrderWords[voices]] : []),
    ...(lowVoices ? [`tenors and basses ${lowVoiceWords[lowVoices]}`] : []),
    ...(tooHigh ? [tooHighWords[tooHigh]] : []),
    ...(talk === undefined ? [] : [`${talk} s of talk before each`]),
    ...(purposeSaid ? [purposeTimeWords[purposeSaid]] : []),
    ...(untilRight ? [untilRightWords(true)] : []),
    habit === 'keep' ? 'what is known first' : 'what was not led lately first',
  ].join('; ');
}

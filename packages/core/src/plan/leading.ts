/** Whether all voices sing the same keys, or high and low ones their own, one after the other or together. */
export const voiceOrders = ['all', 'in turn', 'together'] as const;
export type VoiceOrder = (typeof voiceOrders)[number];

/** How parts an octave below the women sing: never higher than that, or light, at the women's own pitch. */
export const lowVoiceOrders = ['below', 'light'] as const;
export type LowVoiceOrder = (typeof lowVoiceOrders)[number];

/** What a part does whose note is too high: it drops out, it goes down an octave, or nobody goes there. */
export const tooHighOrders = ['rest', 'octave', 'never'] as const;
export type TooHighOrder = (typeof tooHighOrders)[number];

/** When an exercise's purpose is said. */
export const purposeTimes = ['before', 'after'] as const;
export type PurposeTime = (typeof purposeTimes)[number];

/** How an exercise is led, in place of what it says itself. */
export interface Leading {
  readonly voices?: VoiceOrder | undefined;
  readonly lowVoices?: LowVoiceOrder | undefined;
  readonly tooHigh?: TooHighOrder | undefined;
}

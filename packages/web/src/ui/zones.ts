/** The time zone this device is in. */
export const ownZone = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Every time zone, this device's first. */
export const zoneOptions = [
  ...new Set([ownZone, ...Intl.supportedValuesOf('timeZone'), 'UTC']),
].map((zone) => ({ value: zone, word: zone.replaceAll('_', ' ') }));

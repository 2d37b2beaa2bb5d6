import type { Caution } from '@wide-fern/core';

/** The cautions of the work, as they are shown where they apply; never medical advice. */
export const cautions: Readonly<Record<Caution, string>> = {
  pain: 'Nothing here should hurt. Pain, sudden hoarseness or a feeling of strangling: stop and rest the voice. Hoarseness that lasts is for a doctor.',
  lightHead: 'Light head: sit down and breathe normally.',
  breathHold:
    'Long holds are not for everyone (high blood pressure, heart or lung trouble, pregnancy, recent surgery): offer the unheld version. Doctors and local rules come first.',
  pulses:
    'Pulses are not for everyone (high blood pressure, heart trouble, recent surgery, pregnancy): offer a long, even breath. Doctors and local rules come first.',
  shoulders: 'Only as far as is easy; skip it with shoulder trouble.',
  bending:
    'Not with high blood or eye pressure, dizziness or a tender back: stay seated and let only the head sink a little. Come up slowly, the head last.',
  knees: 'Only as deep as is easy; hold on to a chair, or stay seated, with knee trouble.',
  creak: 'Half a breath at most, with hardly any air. If it scrapes or tickles, stop at once.',
  neck: 'Slow and small; never press on the windpipe or the front of the throat. Skip it with neck injury or dizziness.',
  jaw: 'Slow and small; skip it with jaw-joint trouble.',
  cold: 'Cold voices: no strong singing, no extremes. Who is ill or coming back sings lightly and drops out freely.',
  balance: 'Chairs for who wants them; no locked knees.',
  loud: 'Ringing ears: a loud group in a small room needs distance.',
  moreRoom: 'A close vowel (oo, ee) needs more room as it climbs: open it toward oh or eh.',
  changing: 'Changing voices and children: never push an end of the range.',
};

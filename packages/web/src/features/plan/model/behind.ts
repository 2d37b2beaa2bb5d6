export { planLoad } from '@wide-fern/plan';
export { mindedTonight, remindersFor, spanSureness, unsureKeys } from '@wide-fern/core';

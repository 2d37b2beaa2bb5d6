export { planLoad } from '@wide-fern/plan';
export { spanSureness, unsureKeys } from '@wide-fern/core';

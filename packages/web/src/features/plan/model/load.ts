export { planLoad } from '@wide-fern/plan';

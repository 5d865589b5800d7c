/** What searches for better plans. A worker loads it when it is asked for. */
export { findFixes, methodOffers, smallestChanges, suggestImprovements } from '@still-heron/core';
export { trackOffer } from './trackOffer';

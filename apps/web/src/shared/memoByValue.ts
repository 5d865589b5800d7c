import { isDeepEqual } from '@still-heron/core';
import { type FunctionComponent, memo, type NamedExoticComponent } from 'react';

/**
 * A component that is rendered again only when a value among its properties changes. A new object with the same values counts as
 * the same; a function does not, so functions must be kept.
 */
export function memoByValue<P extends object>(component: FunctionComponent<P>): NamedExoticComponent<P> {
  return memo(component, isDeepEqual);
}

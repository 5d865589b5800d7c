import { type ComponentType, createElement, use, useEffect } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { useLocation } from 'react-router';
import { PartFailed } from '../ui/PartFailed';
import { forgetFailures, type PageKey, pageOf, PageNotSent } from './pages';

interface Props {
  readonly name: PageKey;
}

/** A page. One that the server did not send says so in its place, and is asked for again at the next visit. */
export function Page({ name }: Props) {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary resetKeys={[pathname]} FallbackComponent={NotSent}>
      <Loaded name={name} />
    </ErrorBoundary>
  );
}

/** While a page loads, the one before it stays: a change of address is a transition. */
function Loaded({ name }: Props) {
  const page = pageOf(name);
  return createElement(page instanceof Promise ? use<ComponentType>(page) : page);
}

/** Other failures are those of the page around this one. */
function NotSent({ error }: FallbackProps) {
  useEffect(forgetFailures, [error]);
  if (!(error instanceof PageNotSent)) throw error;
  return <PartFailed error={error} />;
}

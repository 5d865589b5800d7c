import { type ComponentType, createElement, use, useEffect } from 'react';
import { useLocation } from 'react-router';
import { Boundary } from '../ui/Boundary';
import { PartFailed } from '../ui/PartFailed';
import { forgetFailures, type PageKey, pageOf, PageNotSent } from './pages';

interface Props {
  readonly name: PageKey;
}

/** A page. One that the server did not send says so in its place, and is asked for again at the next visit. */
export function Page({ name }: Props) {
  const { pathname } = useLocation();
  return (
    <Boundary place={pathname} failed={notSent}>
      <Loaded name={name} />
    </Boundary>
  );
}

/** While a page loads, the one before it stays: a change of address is a transition. */
function Loaded({ name }: Props) {
  const page = pageOf(name);
  return createElement(page instanceof Promise ? use<ComponentType>(page) : page);
}

/** Other failures are those of the page around this one. */
function notSent(error: unknown) {
  if (!(error instanceof PageNotSent)) throw error;
  return <NotSent error={error} />;
}

function NotSent({ error }: { readonly error: PageNotSent }) {
  useEffect(forgetFailures, [error]);
  return <PartFailed error={error} />;
}

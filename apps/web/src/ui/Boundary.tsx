import { Component, type ReactNode } from 'react';

interface Props {
  /** Where the page is: another place is tried again after a failure */
  readonly place: string;
  readonly failed: (error: unknown) => ReactNode;
  readonly children: ReactNode;
}

interface State {
  readonly failure: { readonly error: unknown; readonly place: string } | null;
}

/** Shows something else in place of a part that fails to render, until the place changes. */
export class Boundary extends Component<Props, State> {
  override state: State = { failure: null };

  static getDerivedStateFromError(error: unknown): State {
    return { failure: { error, place: '' } };
  }

  static getDerivedStateFromProps({ place }: Props, { failure }: State): State | null {
    if (failure === null) return null;
    // a failure belongs to the place where it was caught
    if (failure.place === '') return { failure: { ...failure, place } };
    return failure.place === place ? null : { failure: null };
  }

  override render(): ReactNode {
    const { failure } = this.state;
    return failure === null ? this.props.children : this.props.failed(failure.error);
  }
}

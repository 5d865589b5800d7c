import { configureStore } from '@reduxjs/toolkit';
import type { ShotPlan } from '@still-heron/core';
import { render } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import { App } from 'antd';
import type { ReactElement, ReactNode } from 'react';
import { Provider } from 'react-redux';
import { sessionReducer } from '../src/features/shot/sessionSlice';
import { selectPlan, shotOpened, shotReducer } from '../src/features/shot/shotSlice';
import { preferencesReducer } from '../src/shared/preferences';
import type { RootState } from '../src/shared/store/hooks';

interface RenderedPage {
  readonly user: UserEvent;
  /** Plan of the open shot, after what was done */
  readonly planNow: () => ShotPlan;
}

/**
 * Renders a part of the page with a store, as the page does. Nothing is saved and nothing is computed in a worker.
 *
 * @param plan - plan of the open shot, if the part edits it
 */
export function renderPage(part: ReactElement, plan?: ShotPlan): RenderedPage {
  const store = configureStore({
    reducer: { shot: shotReducer, session: sessionReducer, preferences: preferencesReducer },
    middleware: (getDefault) => getDefault({ serializableCheck: false, immutableCheck: false }),
  });
  if (plan) store.dispatch(shotOpened({ scene: '', slate: '4A', title: '', plan } as never));
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <Provider store={store}>
      <App>{children}</App>
    </Provider>
  );
  render(part, { wrapper });
  return { user: userEvent.setup(), planNow: () => selectPlan(store.getState() as unknown as RootState)! };
}

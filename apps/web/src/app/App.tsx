import { Suspense, useEffect } from 'react';
import { BrowserRouter, Navigate, Route, Routes, useLocation } from 'react-router';
import { sendTakes } from '../features/roll/sendTakes';
import { kitSaver } from '../features/kit/kitSaving';
import { shotSaver } from '../features/shot/saving';
import { selectEntry } from '../shared/api/entry';
import { lazyPart } from '../shared/lazyPart';
import { PartFailed } from '../ui/PartFailed';
import { ErrorBoundary } from 'react-error-boundary';
import { Page } from './Page';
import { STEPS } from './pages';
import { PALETTES } from '../ui/theme/palette';
import { useAppDispatch, useAppSelector } from '../shared/store/hooks';
import { LightContext } from '../ui/theme/light';
import { NoticesProvider } from '../ui/notices/NoticesProvider';

/** Loaded only when it is needed. */
const ShotFailed = lazyPart(() => import('../features/shotPage/ShotFailed').then(({ ShotFailed }) => ShotFailed));

/** Every page by its address. */
function Pages() {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary resetKeys={[pathname]} FallbackComponent={PartFailed}>
      <Suspense>
        <Routes>
          <Route path="/" element={<Page name="productions" />} />
          <Route path="/productions" element={<Page name="productions" />} />
          <Route path="/productions/:productionId/shots" element={<Page name="shots" />} />
          <Route path="/productions/:productionId/takes" element={<Page name="log" />} />
          <Route path="/shots/:shotId" element={<Shot place={pathname} />}>
            <Route index element={<Navigate to="pull" replace />} />
            {STEPS.map((step) => (
              <Route key={step} path={step} element={<Page name={step} />} />
            ))}
          </Route>
          <Route path="/devices" element={<Page name="network" />} />
          <Route path="/backups" element={<Page name="backups" />} />
          <Route path="/kit" element={<Navigate to="/kit/lenses" replace />} />
          <Route path="/kit/:kind/:itemId?" element={<Page name="kit" />} />
          <Route path="*" element={<Navigate to="/" replace />} />
        </Routes>
      </Suspense>
    </ErrorBoundary>
  );
}

/** A shot; one that fails says what is wrong with it. */
function Shot({ place }: { readonly place: string }) {
  return (
    <ErrorBoundary resetKeys={[place]} FallbackComponent={ShotFailed}>
      <Page name="shot" />
    </ErrorBoundary>
  );
}

export function App() {
  const light = useAppSelector((state) => state.preferences.light);
  const { isAsked } = useAppSelector(selectEntry);
  const dispatch = useAppDispatch();
  useEffect(() => {
    // again when this device has given the crew code
    if (isAsked) return undefined;
    const sendAll = () => {
      for (const { saveNow, sendLeftovers } of [shotSaver, kitSaver])
        void dispatch(saveNow()).then(() => dispatch(sendLeftovers()));
      void sendTakes(dispatch);
    };
    sendAll();
    window.addEventListener('online', sendAll);
    return () => window.removeEventListener('online', sendAll);
  }, [dispatch, isAsked]);
  useEffect(() => {
    const { style, dataset } = document.documentElement;
    const { subjects, ...colours } = PALETTES[light];
    for (const [name, colour] of Object.entries(colours))
      style.setProperty(`--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`, colour);
    subjects.forEach((colour, index) => style.setProperty(`--subject-${index + 1}`, colour));
    dataset['light'] = light;
    style.colorScheme = light === 'dusk' ? 'dark' : 'light';
  }, [light]);
  return (
    <LightContext value={light}>
      <NoticesProvider>
        <BrowserRouter>
          <Pages />
        </BrowserRouter>
      </NoticesProvider>
    </LightContext>
  );
}

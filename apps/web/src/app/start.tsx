import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { enterByAddress } from '../shared/api/entry';
import { App } from './App';
import { loadPages } from './pages';
import { createStore } from './store';
import '../ui/theme/base.css';

const store = createStore(window.localStorage);
const enter = () => enterByAddress(store.dispatch);
window.addEventListener('hashchange', () => void enter());
// a scanned code is given first, so that nothing asks for it
await enter();
// a page that is there is shown at once; one that can't be loaded says so
await loadPages(window.location.pathname).catch(() => undefined);

createRoot(document.getElementById('root')!).render(
  <Provider store={store}>
    <App />
  </Provider>,
);

import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { App } from './App';
import { createStore } from './store';
import '../ui/theme/base.css';

createRoot(document.getElementById('root')!).render(
  <Provider store={createStore(window.localStorage)}>
    <App />
  </Provider>,
);

import { askSceneAhead } from './api/ahead';
import { themeKept } from './themeKept';
import { showStill } from './still';
import './index.css';

// What is here comes first and is small: the scene is seen before the workbench is there.
document.documentElement.dataset.theme = themeKept();
askSceneAhead(showStill);

// The core is much to load and to begin; what does not need it is under way meanwhile.
const workbench = Promise.all([
  import('./begin'),
  import('./App'),
  import('./state/autosave'),
  import('./state/pending').then((m) => m.claimTab()),
]);

void workbench.then(([{ begin }, { App }, { startKeeping }]) => {
  startKeeping();
  begin(App);
});

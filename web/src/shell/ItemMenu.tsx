import { useItemMenu } from '../state/itemMenu';
import { MenuAt } from '../ui/MenuAt';
import { CHOSEN_ACTIONS, PASTE_ACTIONS } from './actions';

const OF_ITEMS = [...CHOSEN_ACTIONS, ...PASTE_ACTIONS];

const close = () => useItemMenu.setState({ at: null });

/** The menu at the pointer: what can be done with what is chosen, or with what lies there. */
export function ItemMenu() {
  const { at, entries } = useItemMenu();
  return (
    <MenuAt
      at={at}
      label={entries ? 'What can be done with it' : 'What can be done with what is chosen'}
      entries={entries ?? OF_ITEMS}
      onClose={close}
    />
  );
}

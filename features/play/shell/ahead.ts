import { askAhead, DEVICE_DB } from '../device/ahead';

// Where play was opened before, or a session was started from the desk, the device has what it needs, or knows more than the server.
void indexedDB.databases?.().then(
  (all) => {
    if (all.every(({ name }) => name !== DEVICE_DB)) askAhead(window.location);
  },
  () => undefined,
);

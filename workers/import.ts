import { breath } from './breath';
import type { FromImport, ToImport } from './import-messages';
import { importing } from './importing';

const here = globalThis as unknown as {
  postMessage(message: FromImport): void;
  onmessage: ((event: { data: ToImport }) => void) | null;
};

const take = importing((message) => here.postMessage(message), breath);
here.onmessage = ({ data }) => take(data);

import { runLongarm } from './run-longarm';

self.onmessage = (m: MessageEvent<Parameters<typeof runLongarm>[0]>) =>
  runLongarm(m.data, (told) => self.postMessage(told));

import { expose } from 'comlink';
import { quickTold } from './quick-told';

expose(quickTold);

import { expose } from 'comlink';
import { measurePhoto } from './measure-photo';

expose(measurePhoto);

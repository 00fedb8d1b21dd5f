import { expose } from 'comlink';
import { readPhoto } from './read-photo';

expose(readPhoto);

import { expose } from 'comlink';
import { matchWhole } from '@/core/match/whole-quilt';

expose(matchWhole);

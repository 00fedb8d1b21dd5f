import { expose } from 'comlink';
import { motifs } from '@/core/motifs/motifs';

expose(motifs);

import { expose } from 'comlink';
import { type CarefulQuestion, carefulMatch } from '@/core/cloth/careful-match';
import { attempt } from '@/core/notes';

expose((q: CarefulQuestion) => attempt(() => carefulMatch(q)));

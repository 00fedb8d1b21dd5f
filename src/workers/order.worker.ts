import { expose } from 'comlink';
import { planOrder } from '@/core/order/order';

expose(planOrder);

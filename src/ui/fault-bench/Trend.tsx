'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';

/** The chart comes when its part is opened. */
export const Trend = dynamic(() => patiently(() => import('./TrendChart')).then((m) => m.TrendChart), {
  ssr: false,
  loading: () => <div className="h-[170px]" />,
});

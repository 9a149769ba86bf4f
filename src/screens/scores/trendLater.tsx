'use client';
import dynamic from 'next/dynamic';
import type { TrendProps } from './trendPoints';

/** Keeps its place; the chart library is fetched where a chart is drawn, and after the page shows. */
const Chart = dynamic(() => import('./trendChart').then((m) => m.TrendChart), {
  ssr: false,
  loading: () => <div className="mt-1 h-52" />,
});

/** A series over time; nothing where there are not two results to draw a line through. */
export function TrendLater(props: TrendProps) {
  return props.points.filter((p) => p.value !== null).length < 2 ? null : <Chart {...props} />;
}

'use client';

import type { ApexOptions } from 'apexcharts';
import { useEffect, useRef } from 'react';
import { GLASS } from './theme';

/** How every chart of the house looks: no tools, no motion, the house's letters. */
const USUAL: ApexOptions = {
  chart: {
    toolbar: { show: false },
    zoom: { enabled: false },
    animations: { enabled: false },
    fontFamily: 'Figtree, sans-serif',
    parentHeightOffset: 0,
  },
  dataLabels: { enabled: false },
  legend: { show: false },
  grid: { borderColor: GLASS.edge, padding: { left: 2, right: 2, top: -18, bottom: -8 } },
  states: { hover: { filter: { type: 'none' } }, active: { filter: { type: 'none' } } },
};

/** A chart, by a library that comes with the first one shown. `label` says what it shows to who does not see it. */
export function Chart({ options, label }: { options: ApexOptions; label: string }) {
  const at = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let gone = false;
    let drawn: { destroy: () => void } | null = null;
    void import('apexcharts').then(async ({ default: Apex }) => {
      if (gone || !at.current) return;
      const chart = new Apex(at.current, {
        ...USUAL,
        ...options,
        chart: { ...USUAL.chart, ...options.chart, type: options.chart?.type ?? 'bar' },
        grid: { ...USUAL.grid, ...options.grid },
      });
      drawn = chart;
      await chart.render();
    });
    return () => {
      gone = true;
      drawn?.destroy();
    };
  }, [options]);
  return (
    <div role="img" aria-label={label}>
      <div ref={at} aria-hidden />
    </div>
  );
}

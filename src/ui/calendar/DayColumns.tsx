import { DAY_PX, show } from './days';

/** The days, those without work shaded, with the rows of a lane before them. */
export function DayColumns({
  label,
  today,
  last,
  week,
  height,
  children,
}: {
  label: string;
  today: number;
  last: number;
  /** Hours of each weekday, Monday first. */
  week: readonly number[];
  height: number;
  children: React.ReactNode;
}) {
  const days = Array.from({ length: last - today + 1 }, (_, i) => today + i);
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={label}>
      <div className="relative" style={{ width: days.length * DAY_PX, height }}>
        {days.map((d, i) => (
          <div
            key={d}
            className={`absolute top-0 bottom-0 border-l ${(week[((d % 7) + 7) % 7] ?? 0) === 0 ? 'bg-sunk' : ''}`}
            style={{ left: i * DAY_PX, width: DAY_PX }}
          >
            <span
              className={`block text-center whitespace-nowrap text-13 leading-tight ${d === today ? 'font-bold text-indigo' : 'text-ink2'}`}
            >
              {show(d, 'EEEEE')}
              <br />
              {show(d, 'd')}
              {/* Two months beside each other would run into one. */}
              {(show(d, 'd') === '1' || (i === 0 && show(d + 1, 'd') !== '1')) && ` ${show(d, 'MMM')}`}
            </span>
          </div>
        ))}
        {children}
      </div>
    </div>
  );
}

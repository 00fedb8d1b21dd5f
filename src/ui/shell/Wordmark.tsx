import { Link } from '@/ui/kit/Link';

/** A spool whose thread runs under the name and is tucked away at the end. */
export function Wordmark() {
  return (
    <Link href="/" className="mr-6 flex h-11 items-center max-sm:mr-1" aria-label="Tidy Spool, to the Rack">
      <svg width="168" height="44" viewBox="0 0 168 44" aria-hidden>
        <path d="M5.500 12h14v20h-14z" fill="var(--indigo)" />
        <path
          d="M5.500 17.600l14-2.600M5.500 22.600l14-2.600M5.500 27.600l14-2.600"
          stroke="var(--cloth)"
          strokeWidth="1.100"
        />
        <g fill="var(--cloth)" stroke="var(--ink)" strokeWidth="1.700">
          <rect x="1" y="7" width="23" height="5.400" rx="1" />
          <rect x="1" y="31" width="23" height="5.400" rx="1" />
        </g>
        <path
          d="M19.500 27.500C26 28 25 37.500 35 37.500H148M148 34v7"
          fill="none"
          stroke="var(--indigo)"
          strokeWidth="2.200"
        />
        <text x="34" y="29.500" fontSize="25" fontWeight="600" style={{ fontFamily: 'var(--font-slab)' }}>
          Tidy Spool
        </text>
      </svg>
    </Link>
  );
}

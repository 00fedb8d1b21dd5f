const LOOK = {
  plain: 'border-2 border-rule bg-cloth',
  quiet: 'border-2 border-rule',
  act: 'bg-indigo text-ground border-2 border-indigo',
  fault: 'border-2 border-madder text-madder bg-cloth',
} as const;

/** A button for a gloved hand, with its key beside it. */
export function Big({
  label,
  name,
  under,
  hint,
  onClick,
  look = 'plain',
  disabled,
}: {
  label: string;
  /** What it is called for those who do not see it, where its label is a sign. */
  name?: string;
  /** What it would act on, small under its label. */
  under?: string;
  hint?: string;
  onClick: () => void;
  look?: keyof typeof LOOK;
  disabled?: boolean;
}) {
  return (
    <button
      type="button"
      disabled={disabled}
      onClick={onClick}
      aria-label={name}
      className={`flex min-h-[88px] min-w-[88px] items-center justify-center gap-3 rounded px-2 text-20 leading-tight font-semibold disabled:opacity-40 sm:px-4 sm:text-24 ${LOOK[look]}`}
    >
      <span className="min-w-0">
        {label}
        {under && <span className="block text-16 leading-tight font-normal text-ink2">{under}</span>}
      </span>
      {hint && <kbd className="text-16 font-normal opacity-80 max-sm:hidden">{hint}</kbd>}
    </button>
  );
}

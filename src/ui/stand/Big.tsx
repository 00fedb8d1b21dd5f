const LOOK = {
  plain: 'border-2 border-rule bg-cloth',
  quiet: 'border-2 border-rule',
  act: 'bg-indigo text-ground border-2 border-indigo',
  fault: 'border-2 border-madder text-madder bg-cloth',
} as const;

/** A button for a gloved hand, with its key beside it. */
export function Big({
  label,
  hint,
  onClick,
  look = 'plain',
  disabled,
}: {
  label: string;
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
      className={`flex min-h-[88px] min-w-[88px] items-center justify-center gap-3 rounded px-4 text-24 font-semibold disabled:opacity-40 ${LOOK[look]}`}
    >
      {label}
      {hint && <kbd className="text-16 font-normal opacity-80 max-sm:hidden">{hint}</kbd>}
    </button>
  );
}

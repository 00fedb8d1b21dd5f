import { putAway } from './put-away';

const LOOK = 'min-h-11 px-2 text-indigo hover:underline';

/** What can be done with a line of the workroom: changed, or put away (and taken out again from the message that says so). */
export function RowActs(props: {
  kind: Parameters<typeof putAway>[0];
  id: string;
  name: string;
  onChange: () => void;
}) {
  const { kind, id, name, onChange } = props;
  return (
    <>
      <button type="button" className={LOOK} aria-label={`Change ${name}`} onClick={onChange}>
        Change
      </button>
      <button
        type="button"
        className={LOOK}
        aria-label={`Put away ${name}`}
        onClick={() => putAway(kind, id, name)}
      >
        Put away
      </button>
    </>
  );
}

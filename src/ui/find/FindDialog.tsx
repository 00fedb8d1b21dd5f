'use client';
import { Command } from 'cmdk';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { Found } from '@/data/types';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { COMMANDS, quiltCommands } from './commands';

const GROUP: Record<Found['kind'], string> = {
  cone: 'Cones',
  quilt: 'Quilts',
  client: 'Clients',
  fabric: 'Fabrics',
  batting: 'Battings',
  ruler: 'Rulers',
  yarn: 'Yarns',
  pattern: 'Patterns',
  machine: 'Machines',
  sign: 'Faults and flaws, in the fault book',
  term: 'Words of the trade',
  setting: 'Settings',
  drill: 'Drills, to practise',
};

const hrefOf = (f: Found): string => {
  switch (f.kind) {
    case 'cone':
      return `/shelf?cone=${f.id}`;
    case 'quilt':
    case 'client':
      return `/quilts/${f.id}`;
    case 'ruler':
      return `/workroom/rulers?ruler=${f.id}`;
    case 'yarn':
      return `/workroom/yarn?yarn=${f.id}`;
    case 'pattern':
      return `/workroom/patterns?pattern=${f.id}`;
    case 'machine':
      return '/workroom/machine';
    case 'sign':
      return `/faults?sign=${f.id}`;
    case 'term':
      return `/glossary#${encodeURIComponent(f.id)}`;
    case 'drill':
      return `/practice?drill=${f.id}`;
    case 'setting':
      return `/workroom/preferences#${f.id}`;
    default:
      return `/workroom/cloth?${f.kind}=${f.id}`;
  }
};

const keyOf = (f: Found) => f.kind + f.id;

/** Finds cones, quilts, clients, cloths, settings and commands as letters are typed. */
export function FindDialog({ onClose }: { onClose: () => void }) {
  const router = useRouter();
  const [letters, setLetters] = useState('');
  const [found, setFound] = useState<{ of: string; rows: Found[] }>({ of: '', rows: [] });
  const [lost, setLost] = useState(false);
  const wanted = letters.trim();
  const go = (href: string) => {
    onClose();
    router.push(href);
  };
  const low = wanted.toLowerCase();
  const quiltId = /^\/quilts\/([0-9a-f-]{36})/.exec(usePathname() ?? '')?.[1];
  const commands = [...(quiltId ? quiltCommands(quiltId) : []), ...COMMANDS].filter(
    (c) => !low || `${c.label} ${c.also}`.toLowerCase().includes(low),
  );
  // Enter pressed before the answer is there waits for it, and goes to the first that is found, not to one found before.
  const hurried = useRef(false);
  useEffect(() => {
    hurried.current = false;
    if (!wanted) return;
    const stop = new AbortController();
    fetch(`/find?q=${encodeURIComponent(wanted)}`, { signal: stop.signal })
      .then((r) => r.json())
      .then((rows: Found[]) => {
        setFound({ of: wanted, rows });
        setLost(false);
      })
      .catch((e: Error) => {
        if (e.name === 'AbortError') return;
        setFound({ of: wanted, rows: [] });
        setLost(true);
      });
    return () => stop.abort();
  }, [wanted]);
  const rows = wanted ? found.rows : [];
  const late = wanted !== '' && found.of !== wanted;
  useEffect(() => {
    if (late || !hurried.current) return;
    hurried.current = false;
    const href = rows[0] ? hrefOf(rows[0]) : commands[0]?.href;
    if (href) go(href);
  });
  // The first of what is shown is the one Enter takes, until the arrows pick another.
  const first = rows[0] ? keyOf(rows[0]) : (commands[0]?.href ?? '');
  const [picked, setPicked] = useState({ under: '', value: '' });
  const pickedByHand = picked.under === first && picked.value !== first;
  const kinds = [...new Set(rows.map((f) => f.kind))];
  return (
    <Command.Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      shouldFilter={false}
      value={picked.under === first ? picked.value : first}
      onValueChange={(value) => setPicked({ under: first, value })}
      label="Find"
      overlayClassName="fixed inset-0 z-40 bg-[#14181b]/45"
      contentClassName="fixed top-[10vh] left-1/2 z-50 w-[94vw] max-w-[640px] -translate-x-1/2 rounded border border-rule bg-cloth"
    >
      <Command.Input
        value={letters}
        onValueChange={setLetters}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' || !late || pickedByHand) return;
          e.preventDefault();
          hurried.current = true;
        }}
        placeholder="A cone, a quilt, a client, a fault, a setting …"
        className="min-h-14 w-full border-b bg-transparent px-4 text-[18px] outline-none"
      />
      <Command.List className="max-h-[62vh] overflow-auto p-2">
        {lost && <p className="p-3 text-madder">The studio’s computer did not answer. Try again.</p>}
        {wanted && !late && rows.length === 0 && commands.length === 0 && !lost && (
          <p className="p-3 text-ink2">Nothing has these letters in its name.</p>
        )}
        {kinds.map((kind) => (
          <Command.Group key={kind} heading={GROUP[kind]} className="find-group">
            {rows
              .filter((f) => f.kind === kind)
              .map((f) => (
                <Item key={keyOf(f)} value={keyOf(f)} onSelect={() => go(hrefOf(f))}>
                  {f.kind === 'cone' && <ThreadSwatch hex={f.hex} width={22} height={22} />}
                  <span className="font-semibold">{f.name}</span>
                  <span className="truncate text-ink2">{f.detail}</span>
                </Item>
              ))}
          </Command.Group>
        ))}
        {commands.length > 0 && (
          <Command.Group heading="Go and do" className="find-group">
            {commands.map((c) => (
              <Item key={c.href} value={c.href} onSelect={() => go(c.href)}>
                <span>{c.label}</span>
              </Item>
            ))}
          </Command.Group>
        )}
      </Command.List>
    </Command.Dialog>
  );
}

function Item(props: React.ComponentProps<typeof Command.Item>) {
  return (
    <Command.Item
      {...props}
      className="flex min-h-11 cursor-pointer items-center gap-2.5 rounded px-3 data-[selected=true]:bg-indigo-tint"
    />
  );
}

'use client';
import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';
import { Field } from './Field';

/** A choice from a short list. */
export function Choice({
  label,
  id,
  value,
  onChange,
  options,
  error,
  hint,
}: {
  label: string;
  id: string;
  value: string;
  onChange: (value: string) => void;
  options: readonly { value: string; label: string }[];
  error?: string;
  hint?: string;
}) {
  return (
    <Field label={label} id={id} error={error} hint={hint}>
      <Select.Root value={value} onValueChange={onChange}>
        <Select.Trigger
          id={id}
          aria-invalid={error ? true : undefined}
          className="flex min-h-11 w-full items-center justify-between gap-2 rounded border border-rule bg-cloth px-3 text-left text-16"
        >
          <Select.Value />
          <Select.Icon>
            <ChevronDown size={18} aria-hidden />
          </Select.Icon>
        </Select.Trigger>
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={2}
            className="z-50 max-h-80 min-w-(--radix-select-trigger-width) overflow-auto rounded border border-rule bg-cloth"
          >
            <Select.Viewport>
              {options.map((o) => (
                <Select.Item
                  key={o.value}
                  value={o.value}
                  className="flex min-h-11 items-center gap-2 px-3 text-16 outline-none data-[highlighted]:bg-indigo-tint"
                >
                  <Select.ItemText>{o.label}</Select.ItemText>
                  <Select.ItemIndicator>
                    <Check size={16} aria-hidden />
                  </Select.ItemIndicator>
                </Select.Item>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
    </Field>
  );
}

'use client';
import { useState } from 'react';
import type { Result } from '@/actions/result';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { Modal } from '@/ui/kit/Modal';
import { unanswered } from '@/ui/kit/unanswered';

/** What stands beside a studio of one's own: another studio's file, or the demo to look at and to leave. */
export function OtherStudio({ isEmpty, isDemo }: { isEmpty: boolean; isDemo: boolean }) {
  const [busy, setBusy] = useState(false);
  const [asked, setAsked] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const change = async (to: 'demo' | 'empty') => {
    setBusy(true);
    setProblem(null);
    try {
      const answer = await fetch('/begin/studio', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ to }),
      });
      const r = (await answer.json()) as Result<unknown>;
      // Everything shown is of another studio from here on.
      if (r.ok) return window.location.assign(to === 'demo' ? '/' : '/begin');
      setProblem(r.problems[0]!.message);
    } catch (error) {
      setProblem(unanswered(error).message);
    }
    setBusy(false);
  };
  return (
    <aside>
      <h2 className="text-20">Or begin with</h2>
      <div className="mt-1 border-t-2 border-ink">
        <div className="border-b py-3">
          <p>A studio’s own file: its machines, threads, needles and ways, or a whole backup.</p>
          <ButtonLink className="mt-2" href="/workroom/files">
            Open a file
          </ButtonLink>
        </div>
        <div className="border-b py-3">
          {isDemo ? (
            <>
              <p>
                This is the demo studio, with made-up clients and quilts. Leave it to begin your own; a copy
                of it is saved first where copies are kept.
              </p>
              <Button className="mt-2" onClick={() => setAsked(true)}>
                Leave the demo
              </Button>
            </>
          ) : (
            <>
              <p>
                The demo studio: a machine, a full shelf and quilts at every step, all made up. You can leave
                it again.
              </p>
              <Button className="mt-2" disabled={busy || !isEmpty} onClick={() => void change('demo')}>
                {busy ? 'Laying it out …' : 'Look at the demo studio'}
              </Button>
              {!isEmpty && <p className="mt-1 text-13 text-ink2">Only while your own studio is empty.</p>}
            </>
          )}
          {problem && (
            <p role="alert" className="mt-2 font-medium text-madder">
              {problem}
            </p>
          )}
        </div>
      </div>
      {asked && (
        <Modal
          open
          onOpenChange={(open) => !open && setAsked(false)}
          title="Leave the demo studio?"
          about="Everything in it goes, also what you added or changed here. Your own studio begins empty."
        >
          <div className="mt-4 flex gap-3">
            <Button look="act" disabled={busy} onClick={() => void change('empty')}>
              {busy ? 'Clearing it …' : 'Leave it'}
            </Button>
            <Button onClick={() => setAsked(false)}>Cancel</Button>
          </div>
        </Modal>
      )}
    </aside>
  );
}

'use client';
import { useEffect, useMemo, useState } from 'react';
import { BEATS, tempoOf } from '@/core/stand/tempo';
import { Big } from './Big';
import { StandPanel } from './StandPanel';

const STEP = 5;

/** A beat for hands in manual mode and for combs: heard and seen, with what machine and hands do to it. */
export function TempoPanel({
  setting,
  onClose,
}: {
  setting: { handInPerS: number; spi: number } | null;
  onClose: () => void;
}) {
  const [beats, setBeats] = useState(60);
  const [on, setOn] = useState(false);
  const [beat, setBeat] = useState(0);
  const tempo = useMemo(
    () => (setting ? tempoOf(setting.handInPerS, setting.spi, beats) : null),
    [setting, beats],
  );
  useEffect(() => {
    if (!on) return;
    const audio = new AudioContext();
    const click = () => {
      setBeat((n) => n + 1);
      const tone = audio.createOscillator();
      const gain = audio.createGain();
      tone.frequency.value = 880;
      gain.gain.setValueAtTime(0.25, audio.currentTime);
      gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.06);
      tone.connect(gain).connect(audio.destination);
      tone.start();
      tone.stop(audio.currentTime + 0.07);
    };
    const timer = setInterval(click, 60_000 / beats);
    return () => {
      clearInterval(timer);
      void audio.close();
    };
  }, [on, beats]);
  const bounded = (n: number) => Math.min(BEATS[1], Math.max(BEATS[0], n));
  return (
    <StandPanel title="Tempo" onClose={onClose}>
      {!tempo ? (
        <p className="mt-4 text-24">Every step is sewn: there is nothing to keep time to.</p>
      ) : (
        <>
          <div className="mt-4 flex flex-wrap items-center gap-2">
            <Big label="Slower" onClick={() => setBeats(bounded(beats - STEP))} />
            <p className="min-w-[220px] text-center text-44 font-bold">
              {beats} <span className="text-24 font-normal">beats a minute</span>
            </p>
            <Big label="Faster" onClick={() => setBeats(bounded(beats + STEP))} />
            <Big look="act" label={on ? 'Silence' : 'Beat'} onClick={() => setOn(!on)} />
          </div>
          <svg
            width="100%"
            height="80"
            viewBox="0 0 600 80"
            role="img"
            aria-label={on ? 'The mark moves with the beat' : 'The mark stands'}
          >
            <path d="M60 40H540" stroke="var(--rule)" strokeWidth="4" />
            <path d="M60 20v40M540 20v40" stroke="var(--rule)" strokeWidth="4" />
            <circle
              cx={beat % 2 === 0 ? 60 : 540}
              cy="40"
              r="22"
              fill="var(--indigo)"
              className="motion-safe:transition-[cx]"
              style={{ transitionDuration: `${60_000 / beats}ms`, transitionTimingFunction: 'linear' }}
            />
          </svg>
          <p className="mt-2 text-28">
            From beat to beat the hands move <b>{tempo.inPerBeat.toFixed(1)} in</b>, the needle makes{' '}
            <b>{Math.round(tempo.stitchesPerBeat)} stitches</b>.
          </p>
          <p className="mt-2 text-24">
            With a fixed speed set the machine to <b>{Math.round(tempo.spm)} a minute</b>: then {setting!.spi}{' '}
            stitches lie in each inch. Faster hands alone make longer stitches, a faster needle alone shorter
            ones.
          </p>
        </>
      )}
    </StandPanel>
  );
}

'use client';
import { Button } from '@/ui/kit/Button';

export function PrintButton() {
  return (
    <Button look="act" onClick={() => window.print()}>
      Print
    </Button>
  );
}

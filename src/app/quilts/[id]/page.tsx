import { redirect } from 'next/navigation';

/** A quilt's bare address leads to Match, where most work begins. */
export default async function QuiltPage({ params }: { params: Promise<{ id: string }> }) {
  redirect(`/quilts/${(await params).id}/match`);
}

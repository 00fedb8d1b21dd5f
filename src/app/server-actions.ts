'use server';
import { revalidatePath } from 'next/cache';
import { logFault, setFaultStatus } from '@/actions/faults';
import { chooseSetup } from '@/actions/setups';
import { logTest } from '@/actions/tests';

/** The quilt's pages show what these change; the next view is read afresh. */
const refresh = () => revalidatePath('/', 'layout');

export async function chooseSetupAction(input: unknown) {
  const result = await chooseSetup(input);
  if (result.ok) refresh();
  return result;
}

export async function logTestAction(input: unknown) {
  const result = await logTest(input);
  if (result.ok) refresh();
  return result;
}

export async function logFaultAction(input: unknown) {
  const result = await logFault(input);
  if (result.ok) refresh();
  return result;
}

export async function setFaultStatusAction(input: unknown) {
  const result = await setFaultStatus(input);
  if (result.ok) refresh();
  return result;
}

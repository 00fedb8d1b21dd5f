'use server';
import { revalidatePath } from 'next/cache';
import * as bobbins from './bobbins';
import { setDays } from './calendar';
import * as cloths from './cloths';
import * as cones from './cones';
import * as exchange from './exchange';
import * as faults from './faults';
import * as intakes from './intakes';
import * as machines from './machines';
import { saveMap } from './map';
import * as needles from './needles';
import * as plans from './plan';
import * as preferences from './preferences';
import * as quilts from './quilts';
import type { Result } from './result';
import { chooseSetup } from './setups';
import { logTest } from './tests';
import { askWhatIf } from './what-if';
import { chooseWhole } from './whole-quilt';
import { nameCloth, recolour } from './zone-cloth';
import { importWorkroom } from './workroom-file';
import { thisContext } from './context';
import type { ExchangeKind } from '@/core/exchange/columns';

/** Every page shows what these change; after a success the next view is read afresh. */
async function afterwards<T>(act: Promise<Result<T>>): Promise<Result<T>> {
  const result = await act;
  if (result.ok) revalidatePath('/', 'layout');
  return result;
}

export const chooseSetupAction = async (input: unknown) => afterwards(chooseSetup(thisContext(), input));
export const chooseWholeAction = async (input: unknown) => afterwards(chooseWhole(thisContext(), input));
export const askWhatIfAction = async (input: unknown) => askWhatIf(thisContext(), input);
export const recolourAction = async (input: unknown) => afterwards(recolour(thisContext(), input));
export const nameClothAction = async (input: unknown) => afterwards(nameCloth(thisContext(), input));
export const logTestAction = async (input: unknown) => afterwards(logTest(thisContext(), input));
export const logFaultAction = async (input: unknown) => afterwards(faults.logFault(thisContext(), input));
export const setFaultStatusAction = async (input: unknown) =>
  afterwards(faults.setFaultStatus(thisContext(), input));

export const addConesAction = async (input: unknown) => afterwards(cones.addCones(thisContext(), input));
export const editConeAction = async (input: unknown) => afterwards(cones.editCone(thisContext(), input));
export const countConeAction = async (input: unknown) => afterwards(cones.countCone(thisContext(), input));
export const editManyAction = async (input: unknown) => afterwards(cones.editMany(thisContext(), input));
export const readConeUsesAction = async (id: string) => cones.coneUses(thisContext(), id);

export const windBobbinsAction = async (input: unknown) =>
  afterwards(bobbins.windBobbins(thisContext(), input));
export const countBobbinsAction = async (input: unknown) =>
  afterwards(bobbins.countBobbins(thisContext(), input));

export const keepNeedlesAction = async (input: unknown) =>
  afterwards(needles.keepNeedles(thisContext(), input));
export const countNeedlesAction = async (input: unknown) =>
  afterwards(needles.countNeedles(thisContext(), input));
export const changeNeedleAction = async (input: unknown) =>
  afterwards(needles.changeNeedle(thisContext(), input));
export const sewStitchesAction = async (input: unknown) =>
  afterwards(needles.sewStitches(thisContext(), input));

export const keepFabricAction = async (input: unknown) => afterwards(cloths.keepFabric(thisContext(), input));
export const keepBattingAction = async (input: unknown) =>
  afterwards(cloths.keepBatting(thisContext(), input));
export const keepRulerAction = async (input: unknown) => afterwards(cloths.keepRuler(thisContext(), input));
export const putAwayAction = async (input: unknown) => afterwards(cloths.putAway(thisContext(), input));

export const keepMachineAction = async (input: unknown) =>
  afterwards(machines.keepMachine(thisContext(), input));
export const calibrateAction = async (input: unknown) => afterwards(machines.calibrate(thisContext(), input));
export const sewOnAction = async (input: unknown) => afterwards(machines.sewOn(thisContext(), input));

export const setPreferencesAction = async (input: unknown) =>
  afterwards(preferences.setPreferences(thisContext(), input));

export const importFileAction = async (input: unknown) =>
  afterwards(exchange.importFile(thisContext(), input));
export const undoImportAction = async (input: unknown) =>
  afterwards(exchange.undoImported(thisContext(), input));
export const importHintsAction = async (kind: ExchangeKind, header: string[]) =>
  exchange.importHints(thisContext(), kind, header);
export const importWorkroomAction = async (input: unknown) =>
  afterwards(importWorkroom(thisContext(), input));

export const fixPlanAction = async (input: unknown) => afterwards(plans.fixPlan(thisContext(), input));
export const setOrderAction = async (input: unknown) => afterwards(plans.setOrder(thisContext(), input));
export const logStepAction = async (input: unknown) => afterwards(plans.logStep(thisContext(), input));
export const handBackAction = async (input: unknown) => afterwards(plans.handBack(thisContext(), input));
export const putOnFrameAction = async (input: unknown) => afterwards(plans.putOnFrame(thisContext(), input));

export const takeInAction = async (input: unknown) => afterwards(quilts.takeIn(thisContext(), input));
export const keepZoneAction = async (input: unknown) => afterwards(quilts.keepZone(thisContext(), input));

export const beginIntakeAction = async (input: unknown) => intakes.beginIntake(thisContext(), input);
export const keepIntakeAction = async (input: unknown) => intakes.keepIntake(thisContext(), input);
export const removePhotographAction = async (input: unknown) =>
  intakes.removePhotograph(thisContext(), input);
export const saveMapAction = async (input: unknown) => afterwards(saveMap(thisContext(), input));
export const setDaysAction = async (input: unknown) => afterwards(setDays(thisContext(), input));

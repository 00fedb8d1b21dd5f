'use server';
import { revalidatePath } from 'next/cache';
import * as bobbins from '@/actions/bobbins';
import { layOn } from '@/actions/calendar';
import * as cloths from '@/actions/cloths';
import * as cones from '@/actions/cones';
import * as exchange from '@/actions/exchange';
import * as faults from '@/actions/faults';
import * as intakes from '@/actions/intakes';
import * as machines from '@/actions/machines';
import { saveMap } from '@/actions/map';
import * as needles from '@/actions/needles';
import * as plans from '@/actions/plan';
import * as preferences from '@/actions/preferences';
import * as quilts from '@/actions/quilts';
import type { Result } from '@/actions/result';
import { chooseSetup } from '@/actions/setups';
import { logTest } from '@/actions/tests';
import { askWhatIf } from '@/actions/what-if';
import { chooseWhole } from '@/actions/whole-quilt';
import { nameCloth, recolour } from '@/actions/zone-cloth';
import { importWorkroom } from '@/actions/workroom-file';
import type { ExchangeKind } from '@/core/exchange/columns';

/** Every page shows what these change; after a success the next view is read afresh. */
async function afterwards<T>(act: Promise<Result<T>>): Promise<Result<T>> {
  const result = await act;
  if (result.ok) revalidatePath('/', 'layout');
  return result;
}

export const chooseSetupAction = async (input: unknown) => afterwards(chooseSetup(input));
export const chooseWholeAction = async (input: unknown) => afterwards(chooseWhole(input));
export const askWhatIfAction = async (input: unknown) => askWhatIf(input);
export const recolourAction = async (input: unknown) => afterwards(recolour(input));
export const nameClothAction = async (input: unknown) => afterwards(nameCloth(input));
export const logTestAction = async (input: unknown) => afterwards(logTest(input));
export const logFaultAction = async (input: unknown) => afterwards(faults.logFault(input));
export const setFaultStatusAction = async (input: unknown) => afterwards(faults.setFaultStatus(input));

export const addConesAction = async (input: unknown) => afterwards(cones.addCones(input));
export const editConeAction = async (input: unknown) => afterwards(cones.editCone(input));
export const countConeAction = async (input: unknown) => afterwards(cones.countCone(input));
export const editManyAction = async (input: unknown) => afterwards(cones.editMany(input));
export const readConeUsesAction = async (id: string) => cones.coneUses(id);

export const windBobbinsAction = async (input: unknown) => afterwards(bobbins.windBobbins(input));
export const countBobbinsAction = async (input: unknown) => afterwards(bobbins.countBobbins(input));

export const keepNeedlesAction = async (input: unknown) => afterwards(needles.keepNeedles(input));
export const countNeedlesAction = async (input: unknown) => afterwards(needles.countNeedles(input));
export const changeNeedleAction = async (input: unknown) => afterwards(needles.changeNeedle(input));
export const sewStitchesAction = async (input: unknown) => afterwards(needles.sewStitches(input));

export const keepFabricAction = async (input: unknown) => afterwards(cloths.keepFabric(input));
export const keepBattingAction = async (input: unknown) => afterwards(cloths.keepBatting(input));
export const keepRulerAction = async (input: unknown) => afterwards(cloths.keepRuler(input));
export const putAwayAction = async (input: unknown) => afterwards(cloths.putAway(input));

export const keepMachineAction = async (input: unknown) => afterwards(machines.keepMachine(input));
export const calibrateAction = async (input: unknown) => afterwards(machines.calibrate(input));
export const sewOnAction = async (input: unknown) => afterwards(machines.sewOn(input));

export const setPreferencesAction = async (input: unknown) => afterwards(preferences.setPreferences(input));

export const importFileAction = async (input: unknown) => afterwards(exchange.importFile(input));
export const undoImportAction = async (input: unknown) => afterwards(exchange.undoImported(input));
export const importHintsAction = async (kind: ExchangeKind, header: string[]) =>
  exchange.importHints(kind, header);
export const importWorkroomAction = async (input: unknown) => afterwards(importWorkroom(input));

export const fixPlanAction = async (input: unknown) => afterwards(plans.fixPlan(input));
export const setOrderAction = async (input: unknown) => afterwards(plans.setOrder(input));
export const logPassAction = async (input: unknown) => afterwards(plans.logPass(input));
export const putOnFrameAction = async (input: unknown) => afterwards(plans.putOnFrame(input));

export const takeInAction = async (input: unknown) => afterwards(quilts.takeIn(input));
export const keepZoneAction = async (input: unknown) => afterwards(quilts.keepZone(input));

export const beginIntakeAction = async (input: unknown) => intakes.beginIntake(input);
export const keepIntakeAction = async (input: unknown) => intakes.keepIntake(input);
export const removePhotographAction = async (input: unknown) => intakes.removePhotograph(input);
export const saveMapAction = async (input: unknown) => afterwards(saveMap(input));
export const layOnAction = async (input: unknown) => afterwards(layOn(input));

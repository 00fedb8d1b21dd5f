'use server';
import { revalidatePath } from 'next/cache';
import * as bobbins from './bobbins';
import { setDays } from './calendar';
import * as cloths from './cloths';
import * as cones from './cones';
import { stockUsual } from './begin';
import * as conditions from './conditions';
import * as corrections from './corrections';
import * as exchange from './exchange';
import * as bench from './bench';
import * as faultBench from './fault-bench';
import * as faults from './faults';
import * as handBacks from './hand-back';
import * as intakes from './intakes';
import * as machines from './machines';
import { saveMap } from './map';
import * as motifs from './motifs';
import * as needles from './needles';
import * as plans from './plan-commands';
import * as preferences from './preferences';
import { askDay } from './offer-day';
import { keepPrepared } from './prepared';
import * as quilts from './quilts';
import { mishap } from './mishaps';
import type { Result } from './result';
import { markLine } from './shopping';
import { chooseSetup } from './setups';
import { leaveOutSearch } from './searches';
import { logTest } from './tests';
import { askWhatIf } from './what-if';
import { chooseWhole } from './whole-quilt';
import { nameCloth, recolour } from './zone-cloth';
import { reached } from '@/serve/reached';
import { thisContext } from './context';
import type { ExchangeKind } from '@/core/exchange/columns';

/** Every page shows what these change; after a success the next view is read afresh. A throw is told by its number. */
async function afterwards<T>(place: string, act: () => Promise<Result<T>>, fresh = true): Promise<Result<T>> {
  const far = reached.getStore();
  if (far) far.act = true;
  try {
    const result = await act();
    if (result.ok && fresh) revalidatePath('/', 'layout');
    return result;
  } catch (error) {
    return mishap(place, error);
  }
}

export const chooseSetupAction = async (input: unknown) =>
  afterwards('chooseSetup', () => chooseSetup(thisContext(), input));
export const chooseWholeAction = async (input: unknown) =>
  afterwards('chooseWhole', () => chooseWhole(thisContext(), input));
export const askWhatIfAction = async (input: unknown) =>
  afterwards('askWhatIf', () => askWhatIf(thisContext(), input), false);
export const recolourAction = async (input: unknown) =>
  afterwards('recolour', () => recolour(thisContext(), input));
export const nameClothAction = async (input: unknown) =>
  afterwards('nameCloth', () => nameCloth(thisContext(), input));
export const logTestAction = async (input: unknown) =>
  afterwards('logTest', () => logTest(thisContext(), input));
export const leaveOutSearchAction = async (input: unknown) =>
  afterwards('leaveOutSearch', () => leaveOutSearch(thisContext(), input));
export const amendRoundAction = async (input: unknown) =>
  afterwards('amendRound', () => bench.amend(thisContext(), input));
export const tryCureAction = async (input: unknown) =>
  afterwards('tryCure', () => bench.tryCure(thisContext(), input));
export const beginTrialAction = async (input: unknown) =>
  afterwards('beginTrial', () => bench.beginTrial(thisContext(), input));
export const endTrialAction = async (input: unknown) =>
  afterwards('endTrial', () => bench.endTrial(thisContext(), input));
export const answerFaultAction = async (input: unknown) =>
  afterwards('answerFault', () => faultBench.answerFault(thisContext(), input));
export const closeFaultAction = async (input: unknown) =>
  afterwards('closeFault', () => faultBench.closeFault(thisContext(), input));
export const reopenFaultAction = async (input: unknown) =>
  afterwards('reopenFault', () => faultBench.reopenFault(thisContext(), input));
export const tellFaultAction = async (input: unknown) =>
  afterwards('tellFault', () => faults.tellFault(thisContext(), input));
export const takeBackFaultAction = async (input: unknown) =>
  afterwards('takeBackFault', () => faults.takeBackFault(thisContext(), input));
export const logFaultAction = async (input: unknown) =>
  afterwards('logFault', () => faults.logFault(thisContext(), input));
export const setFaultStatusAction = async (input: unknown) =>
  afterwards('setFaultStatus', () => faults.setFaultStatus(thisContext(), input));

export const addConesAction = async (input: unknown) =>
  afterwards('addCones', () => cones.addCones(thisContext(), input));
export const editConeAction = async (input: unknown) =>
  afterwards('editCone', () => cones.editCone(thisContext(), input));
export const countConeAction = async (input: unknown) =>
  afterwards('countCone', () => cones.countCone(thisContext(), input));
export const editManyAction = async (input: unknown) =>
  afterwards('editMany', () => cones.editMany(thisContext(), input));
export const readConeUsesAction = async (id: string) => cones.coneUses(thisContext(), id).catch(() => []);

export const windBobbinsAction = async (input: unknown) =>
  afterwards('windBobbins', () => bobbins.windBobbins(thisContext(), input));
export const countBobbinsAction = async (input: unknown) =>
  afterwards('countBobbins', () => bobbins.countBobbins(thisContext(), input));

export const keepNeedlesAction = async (input: unknown) =>
  afterwards('keepNeedles', () => needles.keepNeedles(thisContext(), input));
export const countNeedlesAction = async (input: unknown) =>
  afterwards('countNeedles', () => needles.countNeedles(thisContext(), input));
export const changeNeedleAction = async (input: unknown) =>
  afterwards('changeNeedle', () => needles.changeNeedle(thisContext(), input));
export const sewStitchesAction = async (input: unknown) =>
  afterwards('sewStitches', () => needles.sewStitches(thisContext(), input));

export const keepFabricAction = async (input: unknown) =>
  afterwards('keepFabric', () => cloths.keepFabric(thisContext(), input));
export const keepBattingAction = async (input: unknown) =>
  afterwards('keepBatting', () => cloths.keepBatting(thisContext(), input));
export const keepRulerAction = async (input: unknown) =>
  afterwards('keepRuler', () => cloths.keepRuler(thisContext(), input));
export const keepYarnAction = async (input: unknown) =>
  afterwards('keepYarn', () => cloths.keepYarn(thisContext(), input));
export const putAwayAction = async (input: unknown) =>
  afterwards('putAway', () => cloths.putAway(thisContext(), input));

export const keepMachineAction = async (input: unknown) =>
  afterwards('keepMachine', () => machines.keepMachine(thisContext(), input));
export const calibrateAction = async (input: unknown) =>
  afterwards('calibrate', () => machines.calibrate(thisContext(), input));
export const sewOnAction = async (input: unknown) =>
  afterwards('sewOn', () => machines.sewOn(thisContext(), input));

export const setPreferencesAction = async (input: unknown) =>
  afterwards('setPreferences', () => preferences.setPreferences(thisContext(), input));

export const undoImportAction = async (input: unknown) =>
  afterwards('undoImport', () => exchange.undoImported(thisContext(), input));
export const importHintsAction = async (kind: ExchangeKind, header: string[]) =>
  exchange.importHints(thisContext(), kind, header);

export const fixPlanAction = async (input: unknown) =>
  afterwards('fixPlan', () => plans.fixPlan(thisContext(), input));
export const setOrderAction = async (input: unknown) =>
  afterwards('setOrder', () => plans.setOrder(thisContext(), input));
export const setZoneOrderAction = async (input: unknown) =>
  afterwards('setZoneOrder', () => plans.setZoneOrder(thisContext(), input));
export const logStepAction = async (input: unknown) =>
  afterwards('logStep', () => plans.logStep(thisContext(), input));
export const handBackAction = async (input: unknown) =>
  afterwards('handBack', () => handBacks.handBack(thisContext(), input));
export const markHandBackAction = async (input: unknown) =>
  afterwards('markHandBack', () => handBacks.markHandBack(thisContext(), input));
export const measureHandBackAction = async (input: unknown) =>
  afterwards('measureHandBack', () => handBacks.measureHandBack(thisContext(), input));
export const putOnFrameAction = async (input: unknown) =>
  afterwards('putOnFrame', () => plans.putOnFrame(thisContext(), input));

export const takeInAction = async (input: unknown) =>
  afterwards('takeIn', () => quilts.takeIn(thisContext(), input));
export const quickToZoneAction = async (input: unknown) =>
  afterwards('quickToZone', () => quilts.quickToZone(thisContext(), input));
export const keepZoneAction = async (input: unknown) =>
  afterwards('keepZone', () => quilts.keepZone(thisContext(), input));

export const correctQuiltAction = async (input: unknown) =>
  afterwards('correctQuilt', () => corrections.correctQuilt(thisContext(), input));
export const undoCorrectionAction = async (input: unknown) =>
  afterwards('undoCorrection', () => corrections.undoCorrection(thisContext(), input));
export const withdrawQuiltAction = async (input: unknown) =>
  afterwards('withdrawQuilt', () => corrections.withdrawQuilt(thisContext(), input));
export const keepClientAction = async (input: unknown) =>
  afterwards('keepClient', () => corrections.keepClient(thisContext(), input));
export const keepConditionAction = async (input: unknown) =>
  afterwards('keepCondition', () => conditions.keepCondition(thisContext(), input));
export const removeConditionAction = async (input: unknown) =>
  afterwards('removeCondition', () => conditions.removeCondition(thisContext(), input));
export const keepPreparedAction = async (input: unknown) =>
  afterwards('keepPrepared', () => keepPrepared(thisContext(), input));

export const quiltZonesAction = async (input: unknown) =>
  afterwards('quiltZones', () => motifs.quiltZones(thisContext(), input));
export const setZoneRoleAction = async (input: unknown) =>
  afterwards('setZoneRole', () => motifs.setZoneRole(thisContext(), input));
export const stockUsualAction = async (input: unknown) =>
  afterwards('stockUsual', () => stockUsual(thisContext(), input));
export const markLineAction = async (input: unknown) =>
  afterwards('markLine', () => markLine(thisContext(), input));
export const askDayAction = async (input: unknown) =>
  afterwards('askDay', () => askDay(thisContext(), input), false);

export const beginIntakeAction = async (input: unknown) =>
  afterwards('beginIntake', () => intakes.beginIntake(thisContext(), input), false);
export const keepIntakeAction = async (input: unknown) =>
  afterwards('keepIntake', () => intakes.keepIntake(thisContext(), input), false);
export const removePhotographAction = async (input: unknown) =>
  afterwards('removePhotograph', () => intakes.removePhotograph(thisContext(), input), false);
export const saveMapAction = async (input: unknown) =>
  afterwards('saveMap', () => saveMap(thisContext(), input));
export const setDaysAction = async (input: unknown) =>
  afterwards('setDays', () => setDays(thisContext(), input));

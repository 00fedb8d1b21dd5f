import * as begin from './begin';
import * as trials from './trials';
import * as bobbins from './bobbins';
import * as calendar from './calendar';
import * as care from './care';
import * as cloths from './cloths';
import * as conditions from './conditions';
import * as cones from './cones';
import * as corrections from './corrections';
import * as exchange from './exchange';
import * as faultBench from './fault-bench';
import * as faults from './faults';
import * as hand from './hand';
import * as handBack from './hand-back';
import * as intakes from './intakes';
import * as link from './link';
import * as log from './log';
import * as machines from './machines';
import * as map from './map';
import * as motifs from './motifs';
import * as needles from './needles';
import * as offerDay from './offer-day';
import * as offers from './offers';
import * as people from './people';
import * as planCommands from './plan-commands';
import * as preferences from './preferences';
import * as marking from './marking';
import * as auditions from './auditions';
import * as patterns from './patterns';
import * as practice from './practice';
import * as prepared from './prepared';
import * as quilts from './quilts';
import * as searches from './searches';
import * as setups from './setups';
import * as shopping from './shopping';
import * as tasks from './tasks';
import * as tests from './tests';
import * as whatIf from './what-if';
import * as wholeQuilt from './whole-quilt';
import * as workroomFile from './workroom-file';
import * as zoneCloth from './zone-cloth';
import type { Context } from './context';
import { allowed, ANYONE, HANDS, NOT_YOURS, OWNER, type Role } from './may';
import { refuse, type Result } from './result';

/** What a person can do: its form's rules, who may, and the act. */
export interface Command<T = unknown> {
  readonly rules: new () => object;
  readonly may: readonly Role[];
  readonly run: (context: Context, input: unknown) => Promise<Result<T>>;
  /** The page it was pressed on stays as it is: nothing another page shows has changed. */
  readonly stays?: boolean;
}

const command = <T>(
  rules: new () => object,
  run: (context: Context, input: unknown) => Promise<Result<T>>,
  more: Partial<Pick<Command, 'may' | 'stays'>> = {},
): Command<T> => ({ rules, run, may: HANDS, ...more });

/** For what is the owner's: money, machines, people, and the studio as a whole. */
const owners = { may: OWNER };

/** Every command by its name. Doors for forms, files and programs are made from it. */
export const COMMANDS = {
  keepEntries: command(log.SentEntries, log.keepSent, { stays: true }),
  keepReadings: command(link.SentReadings, link.keepReadings, { stays: true }),

  chooseSetup: command(setups.ChooseSetup, setups.chooseSetup),

  chooseWhole: command(wholeQuilt.ChooseWhole, wholeQuilt.chooseWhole),

  askWhatIf: command(whatIf.AskWhatIf, whatIf.askWhatIf, { stays: true }),

  recolour: command(zoneCloth.RecolourZone, zoneCloth.recolour),
  nameCloth: command(zoneCloth.NameCloth, zoneCloth.nameCloth),

  logTest: command(tests.LogTest, tests.logTest),

  leaveOutSearch: command(searches.LeaveOutSearch, searches.leaveOutSearch, owners),

  amendRound: command(trials.AmendRound, trials.amend),
  tryCure: command(trials.TryCure, trials.tryCure),
  beginTrial: command(trials.BeginTrial, trials.beginTrial),
  endTrial: command(trials.EndTrial, trials.endTrial),

  answerFault: command(faultBench.AnswerFault, faultBench.answerFault),
  closeFault: command(faultBench.CloseFault, faultBench.closeFault),
  reopenFault: command(faultBench.ReopenFault, faultBench.reopenFault),

  tellFault: command(faults.TellFault, faults.tellFault),
  takeBackFault: command(faults.TakeBackFault, faults.takeBackFault),
  logFault: command(faults.LogFault, faults.logFault),
  setFaultStatus: command(faults.SetFaultStatus, faults.setFaultStatus),

  addCones: command(cones.AddCones, cones.addCones),
  editCone: command(cones.EditCone, cones.editCone),
  snapTest: command(cones.SnapTest, cones.snapTest),
  countCone: command(cones.CountCone, cones.countCone),
  editMany: command(cones.EditMany, cones.editMany),

  windBobbins: command(bobbins.WindBobbins, bobbins.windBobbins),
  countBobbins: command(bobbins.CountBobbins, bobbins.countBobbins),

  keepNeedles: command(needles.KeepNeedles, needles.keepNeedles),
  countNeedles: command(needles.CountNeedles, needles.countNeedles),
  changeNeedle: command(needles.ChangeNeedle, needles.changeNeedle),
  sewStitches: command(needles.SewStitches, needles.sewStitches),

  keepFabric: command(cloths.KeepFabric, cloths.keepFabric),
  keepBatting: command(cloths.KeepBatting, cloths.keepBatting),
  keepRuler: command(cloths.KeepRuler, cloths.keepRuler),
  keepYarn: command(cloths.KeepYarn, cloths.keepYarn),
  putAway: command(cloths.PutAway, cloths.putAway),

  doCare: command(care.DoCare, care.doCare),
  takeBackCare: command(care.TakeBackCare, care.takeBackCare),
  keepManual: command(care.KeepManual, care.keepManual, owners),

  keepMachine: command(machines.KeepMachine, machines.keepMachine, owners),
  calibrate: command(machines.Calibrate, machines.calibrate, owners),
  sewOn: command(machines.UseMachine, machines.sewOn),

  keepRates: command(offers.KeepRates, offers.keepRates, owners),
  makeOffer: command(offers.MakeOffer, offers.makeOffer),
  setOffer: command(offers.SetOffer, offers.setOffer),

  setPreferences: command(preferences.SetPreferences, preferences.setPreferences, owners),

  undoImport: command(exchange.UndoImport, exchange.undoImported, owners),

  fixPlan: command(planCommands.FixPlan, planCommands.fixPlan),
  setOrder: command(planCommands.SetOrder, planCommands.setOrder),
  setZoneOrder: command(planCommands.SetZoneOrder, planCommands.setZoneOrder),
  logStep: command(planCommands.LogStep, planCommands.logStep),

  invitePerson: command(people.InvitePerson, people.invitePerson, owners),
  revokeInvitation: command(people.RevokeInvitation, people.revokeInvitation, owners),
  editPerson: command(people.EditPerson, people.editPerson, owners),
  removePerson: command(people.RemovePerson, people.removePerson, owners),
  setPassphrase: command(people.SetPassphrase, people.setPassphrase, { may: ANYONE }),
  endSession: command(people.EndSession, people.endSession, { may: ANYONE }),
  pairDevice: command(people.PairDevice, people.pairDevice),
  renameDevice: command(people.RenameDevice, people.renameDevice),
  endDevice: command(people.EndDevice, people.endDevice, owners),

  keepHabit: command(hand.KeepHabit, hand.keepHabit, { may: ANYONE }),

  handBack: command(handBack.HandBack, handBack.handBack),
  markHandBack: command(handBack.MarkHandBack, handBack.markHandBack),
  measureHandBack: command(handBack.MeasureHandBack, handBack.measureHandBack),

  workTask: command(tasks.WorkTask, tasks.workTask),

  putOnFrame: command(planCommands.PutOnFrame, planCommands.putOnFrame),

  takeIn: command(quilts.TakeIn, quilts.takeIn),
  quickToZone: command(quilts.QuickToZone, quilts.quickToZone),
  keepZone: command(quilts.KeepZone, quilts.keepZone),

  correctQuilt: command(corrections.CorrectQuilt, corrections.correctQuilt),
  undoCorrection: command(corrections.UndoCorrection, corrections.undoCorrection),
  withdrawQuilt: command(corrections.WithdrawQuilt, corrections.withdrawQuilt),
  keepClient: command(corrections.KeepClient, corrections.keepClient),

  keepCondition: command(conditions.KeepCondition, conditions.keepCondition),
  removeCondition: command(conditions.RemoveCondition, conditions.removeCondition),

  tryMarker: command(marking.TryMarker, marking.tryMarker),
  keepAudition: command(auditions.KeepAudition, auditions.keepAudition),
  placePhotograph: command(auditions.PlacePhotograph, auditions.placePhotograph),
  keepPattern: command(patterns.KeepPattern, patterns.keepPattern),
  quiltPattern: command(patterns.QuiltPattern, patterns.quiltPattern),
  keepPractice: command(practice.KeepPractice, practice.keepPractice),
  takeBackPractice: command(practice.TakeBackPractice, practice.takeBackPractice),
  keepPrepared: command(prepared.KeepPrepared, prepared.keepPrepared),

  quiltZones: command(motifs.QuiltZones, motifs.quiltZones),
  setZoneRole: command(motifs.SetZoneRole, motifs.setZoneRole),

  stockUsual: command(begin.StockUsual, begin.stockUsual, owners),

  markLine: command(shopping.MarkShopping, shopping.markLine),

  askDay: command(offerDay.AskDay, offerDay.askDay, { stays: true }),

  beginIntake: command(intakes.BeginIntake, intakes.beginIntake, { stays: true }),
  keepIntake: command(intakes.KeepIntake, intakes.keepIntake, { stays: true }),
  removePhotograph: command(intakes.RemovePhotograph, intakes.removePhotograph, { stays: true }),

  saveMap: command(map.SaveMap, map.saveMap),

  setDays: command(calendar.SetDays, calendar.setDays),

  importRows: command(exchange.ImportFile, exchange.importFile, { stays: true, ...owners }),

  importWorkroom: command(workroomFile.ImportWorkroom, workroomFile.importWorkroom, {
    stays: true,
    ...owners,
  }),
} as const;

export type CommandName = keyof typeof COMMANDS;
export type AnswerOf<N extends CommandName> = ReturnType<(typeof COMMANDS)[N]['run']>;

export const isCommand = (name: string): name is CommandName => Object.hasOwn(COMMANDS, name);

/** Does what is asked, if this person may. A throw is the caller’s to tell. */
export const perform = <N extends CommandName>(context: Context, name: N, input: unknown): AnswerOf<N> =>
  (allowed(context.actor, COMMANDS[name].may)
    ? COMMANDS[name].run(context, input)
    : Promise.resolve(refuse(NOT_YOURS))) as AnswerOf<N>;

/**
 * Closed lists of the studio, each once: what the database's checks, the forms and the files allow. A test holds the
 * database to them.
 */
export const CONE_ROLES = ['top', 'bobbin', 'both'] as const;
export type ConeRole = (typeof CONE_ROLES)[number];
export const CONE_ROLE_LABEL: Record<ConeRole, string> = {
  top: 'top',
  bobbin: 'bobbin',
  both: 'top and bobbin',
};

export const SHEENS = ['matt', 'satin', 'bright'] as const;
export type Sheen = (typeof SHEENS)[number];

export const RULER_SHAPES = ['straight', 'arc', 'circle', 'template'] as const;
export type RulerShape = (typeof RULER_SHAPES)[number];
export const RULER_SHAPE_LABEL: Record<RulerShape, string> = {
  straight: 'straight edge',
  arc: 'arc',
  circle: 'circle',
  template: 'template',
};

export const BOBBIN_KINDS = ['wound', 'prewound'] as const;

/** How what remains on a cone is known. */
export const REMAINING_SOURCES = ['weighed', 'logged', 'set'] as const;
export type RemainingSource = (typeof REMAINING_SOURCES)[number];

/** Why metres left a cone or were counted anew. */
export const CONE_USE_WHYS = ['winding', 'pass', 'weighed', 'set'] as const;
export type ConeUseWhy = (typeof CONE_USE_WHYS)[number];

/** What a quilt is for. */
export const USES = ['bed', 'baby', 'wall', 'show', 'garment', 'other'] as const;
export type Use = (typeof USES)[number];

/** Whether the stitching should be seen. */
export const VISIBILITIES = ['sink', 'texture', 'show'] as const;
export type VisibilityWish = (typeof VISIBILITIES)[number];

/** How an area should feel when it is done. */
export const SOFTNESSES = ['soft', 'usual', 'firm'] as const;
export type Softness = (typeof SOFTNESSES)[number];

/** A quilt's steps, in order. */
export const STEPS = ['take-in', 'match', 'test', 'quilt', 'hand-back'] as const;
export type Step = (typeof STEPS)[number];

export const TURN_RULES = ['auto', 'never'] as const;
export type TurnRule = (typeof TURN_RULES)[number];

/** Where a test stitch was sewn. */
export const DIRECTIONS = ['away', 'toward', 'left', 'right', 'curve', 'point'] as const;
export type Direction = (typeof DIRECTIONS)[number];

/** Where in the sewing a fault shows: a way the hand goes, or a place along the line. */
export const FAULT_WAYS = [...DIRECTIONS, 'start', 'seam'] as const;
export type FaultWay = (typeof FAULT_WAYS)[number];

/** `harmless`: heard or seen, and judged to be none. */
export const FAULT_STATES = ['open', 'mended', 'left', 'harmless'] as const;
export type FaultState = (typeof FAULT_STATES)[number];
export const FAULT_STATE_WORD: Record<FaultState, string> = {
  open: 'open',
  mended: 'mended',
  left: 'left as it is',
  harmless: 'judged harmless',
};

/** What is calibrated on a machine. */
export const CALIBRATION_KINDS = ['speed-dial', 'idle-dial', 'top-dial', 'bobbin-turns'] as const;
export type CalibrationKind = (typeof CALIBRATION_KINDS)[number];

/** What a thread's size was read from, best first. */
export const BASES = ['measured', 'tex', 'den', 'ne', 'nm', 'ticket', 'wt'] as const;

/** Where a number comes from. */
export const SOURCES = ['predicted', 'proven', 'learned'] as const;
export type Source = (typeof SOURCES)[number];

/** What can be put away and brought back. */
export const AWAY_KINDS = ['fabric', 'batting', 'ruler', 'yarn', 'pattern'] as const;
export type AwayKind = (typeof AWAY_KINDS)[number];

/** How busy a cloth looks, from 0. */
export const BUSYNESS = ['solid', 'tone on tone', 'print', 'loud print'] as const;
export const BUSY = BUSYNESS.map((label, i) => ({ value: String(i), label }));

/** What came of a quick cure tried where directions differ. */
export const CURES = ['needle', 'net', 'path', 'tension'] as const;
export type CureKind = (typeof CURES)[number];
export const CURE_OUTCOMES = ['better', 'same', 'worse'] as const;
export type CureOutcome = (typeof CURE_OUTCOMES)[number];

/** When in the life of a quilt a photograph is taken. */
export const PHOTOGRAPH_MOMENTS = ['take-in', 'condition', 'test', 'fault', 'hand-back', 'service'] as const;
export type PhotographMoment = (typeof PHOTOGRAPH_MOMENTS)[number];

/** What a quilt is for, as a list shows it. */
export const USE_LABEL: Readonly<Record<Use, string>> = {
  bed: 'Bed quilt',
  baby: 'Baby quilt',
  wall: 'Wall hanging',
  show: 'Show quilt',
  garment: 'Garment',
  other: 'Something else',
};
/** How the quilting should look. */
export const WISH_LABEL: Readonly<Record<VisibilityWish, string>> = {
  sink: 'sink in',
  texture: 'be texture',
  show: 'show',
};

/** How tensions are set in a studio. */
export const TENSION_SCHOOLS = ['both', 'gauge', 'dial'] as const;
export type TensionSchool = (typeof TENSION_SCHOOLS)[number];

/** How a client likes to be reached. */
export const CONTACT_WAYS = ['phone', 'email', 'post', 'shop'] as const;
export type ContactWay = (typeof CONTACT_WAYS)[number];
export const CONTACT_LABEL: Readonly<Record<ContactWay, string>> = {
  phone: 'phone',
  email: 'e-mail',
  post: 'letter',
  shop: 'when they come in',
};

/** Whether photographs of a client's quilt may be shown. */
export const PHOTO_CONSENTS = ['no', 'private', 'public'] as const;
export type PhotoConsent = (typeof PHOTO_CONSENTS)[number];
export const PHOTO_CONSENT_LABEL: Readonly<Record<PhotoConsent, string>> = {
  no: 'no photographs',
  private: 'for the studio only',
  public: 'may be shown',
};

/** How a quilt goes home. */
export const DELIVERIES = ['collect', 'ship'] as const;
export type Delivery = (typeof DELIVERIES)[number];
export const DELIVERY_LABEL: Readonly<Record<Delivery, string>> = {
  collect: 'collected',
  ship: 'shipped',
};

/** What the client has said of thread and design. */
export const APPROVALS = ['not-asked', 'asked', 'agreed', 'changed'] as const;
export type Approval = (typeof APPROVALS)[number];
export const APPROVAL_LABEL: Readonly<Record<Approval, string>> = {
  'not-asked': 'not asked yet',
  asked: 'asked, no answer yet',
  agreed: 'agreed',
  changed: 'asked for a change',
};

/** How marks may be taken off a quilt, as the client agreed. */
export const MARKS_OFF = ['water', 'dry'] as const;
export type MarksOff = (typeof MARKS_OFF)[number];
export const MARKS_OFF_LABEL: Readonly<Record<MarksOff, string>> = {
  water: 'water, if need be',
  dry: 'dry only, never wetted',
};

/** Where a piece of the condition on arrival stands. */
export const CONDITION_STATES = ['found', 'told', 'agreed', 'declined', 'done'] as const;
export type ConditionState = (typeof CONDITION_STATES)[number];
export const CONDITION_STATE_LABEL: Readonly<Record<ConditionState, string>> = {
  found: 'found',
  told: 'client told',
  agreed: 'client agreed',
  declined: 'client declined',
  done: 'done',
};
export const SIDES = ['top', 'back'] as const;

/** What the fault book counts by. */
export const RATED_BY = ['thread', 'line', 'needle', 'fabric', 'batting', 'technique', 'machine'] as const;
export type RatedBy = (typeof RATED_BY)[number];
/** How it is put in order. */
export const BOOK_SORTS = ['newest', 'oldest', 'dearest'] as const;
export type BookSort = (typeof BOOK_SORTS)[number];

/** Where a machine can stop its needle. */
export const NEEDLE_STOP_LABEL = { both: 'up or down', up: 'up only', down: 'down only' } as const;

/** Whether the machine moves over the quilt on a frame, or the quilt is moved under it on a table. */
export const MACHINE_KIND_LABEL = { frame: 'on a frame', table: 'on a table, the quilt is moved' } as const;
/** What keeps the stitches even where the quilt is moved by hand. */
export const TABLE_REGULATION_LABEL = {
  none: 'nothing',
  sensor: 'a sensor',
  'walking-foot': 'a walking foot',
} as const;
export type TableRegulation = keyof typeof TABLE_REGULATION_LABEL;

/** How a cone was kept: light takes the strength of a thread. */
export const STORAGE_LABEL = { dark: 'in the dark', window: 'in the light of a window' } as const;

/** What a person of the studio is to it. The owner may everything; a hand sews, logs, tests and takes in; a guest reads. */
export const ROLES = ['owner', 'hand', 'guest'] as const;
export type Role = (typeof ROLES)[number];
export const ROLE_DOES: Readonly<Record<Role, string>> = {
  owner: 'may do everything',
  hand: 'sews, logs, tests, takes in',
  guest: 'reads',
};

/** What a cloth of a zone is there for. */
export const CLOTH_ROLES = ['ground', 'print', 'motif'] as const;
export type ClothRole = (typeof CLOTH_ROLES)[number];

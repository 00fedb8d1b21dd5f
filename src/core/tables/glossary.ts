import { CoreError } from '../notes';

/** A word of the trade, what it means, and other names it goes by. */
export interface GlossaryTerm {
  term: string;
  also: readonly string[];
  means: string;
}

const t = (term: string, means: string, ...also: string[]): GlossaryTerm => ({ term, also, means });

/** The words of a longarm studio, in order of the alphabet. */
export const GLOSSARY: readonly GlossaryTerm[] = [
  t('advance', 'Roll the quilt on to its next pass.', 'roll on'),
  t('all-over', 'One design over the whole quilt, whatever the piecing.', 'edge to edge'),
  t('appliqué', 'Shapes laid on the top and sewn down; raised ones catch the foot.'),
  t('backing', 'The fabric below the batting; the back of the quilt.'),
  t('backtrack', 'Sewing along a line already sewn, to get on without cutting the thread.', 'retracing'),
  t('baste', 'Hold the layers with long stitches until they are quilted.', 'basting'),
  t('batting', 'The soft layer in the middle.', 'wadding'),
  t('bearding', 'Batting fibres coming through the fabric.', 'batting migration'),
  t('belly bar', 'The bar near you that the quilt rolls over.'),
  t('binding', 'The strip that closes the edge of a finished quilt.'),
  t('birdnest', 'A clump of thread below, mostly at a start.', 'thread nest'),
  t('blend', 'A thread so near the fabric’s colour that the texture is seen and the line is not.'),
  t('bobbin case', 'The small holder of the bobbin; its screw sets the bobbin tension.'),
  t('bobbin tension', 'How hard the bobbin thread is held. Set it first; the top follows it.'),
  t('build-up', 'Thread lying on thread where a line is sewn more than once.'),
  t('carriage', 'What the machine rides on, across the frame.'),
  t('channel locks', 'Locks that let the machine move along one line only.'),
  t('check spring', 'The spring that takes up slack as the needle comes up.', 'take-up spring'),
  t('chord', 'The straight line between the two ends of an arc.'),
  t('corner to corner', 'Arcs that run from one corner of a block to the next.', 'continuous curves'),
  t('couching', 'Laying a yarn on the top and sewing it down.'),
  t('crosshatch', 'Straight lines crossing in a grid.', 'grid'),
  t('dead space', 'The part of the throat that the needle cannot reach.'),
  t('denier', 'Grams of 9 000 metres of thread; a ninth of it is tex.', 'den'),
  t('density', 'How much line lies on an area. Neighbours should not differ too much.'),
  t('directional fabric', 'Fabric whose print or nap runs one way.'),
  t(
    'ditch',
    'The seam itself: sewing in the ditch holds the piecing and hides the line.',
    'stitch in the ditch',
  ),
  t('drop test', 'Hold the bobbin case by its thread and jerk once: it should slide a little and stop.'),
  t('dye lot', 'Threads dyed together; two lots of one colour may differ.'),
  t('echo', 'Lines that follow a shape at an even distance.'),
  t('encoder', 'The wheel that tells the regulator how fast the machine moves.'),
  t(
    'eyelashing',
    'Small loops on the back, on curves: too little top tension, or too fast hands.',
    'eyelash loops',
  ),
  t('facets', 'Corners seen on a curve whose stitches are too long for it.'),
  t('filament', 'Thread of long smooth strands, nearly without lint.'),
  t('fill', 'Quilting that covers a ground, such as pebbles or a meander.', 'background fill'),
  t('flagging', 'The quilt bouncing up and down with the needle.'),
  t('full', 'More fabric than its place is wide; it must be eased in.', 'fullness', 'wavy border'),
  t('grain', 'The way the threads of a fabric run; it stretches least along them.'),
  t(
    'gram',
    'What a tension gauge shows: the pull at which the thread gives way.',
    'gram-force',
    'g on the gauge',
  ),
  t('ground', 'The part of a block round the figures.', 'background'),
  t('hole memory', 'How well a fabric keeps the holes of the needle: satin keeps each, flannel none.'),
  t('hook', 'What takes the loop of the top thread round the bobbin.'),
  t('hopping foot', 'A foot that lifts with every stitch, so that the quilt can be moved.'),
  t('interlock', 'Where top and bobbin thread cross; balanced, it lies inside the batting.'),
  t('leader', 'The fabric on a roller that the quilt is pinned to.'),
  t('left open', 'A zone in which nothing is quilted, within the batting’s distance.'),
  t('loft', 'How high a batting stands.'),
  t('mark', 'A number on a dial, or the line drawn to be followed.'),
  t('meander', 'A wandering line that does not cross itself.', 'stipple'),
  t('micro-fill', 'A fill so close that the ground lies flat.', 'micro-stipple'),
  t(
    'monofilament',
    'Clear thread of one strand; it takes the colour of what lies under it.',
    'invisible thread',
  ),
  t('nap', 'The lie of a pile; it looks darker one way.', 'pile'),
  t('open-toe foot', 'A foot open in front, for sight of the line; never against a ruler.'),
  t(
    'pantograph',
    'A row design followed from the back of the machine, or sewn by a computer.',
    'panto',
    'edge to edge',
  ),
  t('pass', 'What can be sewn without advancing the quilt.'),
  t('pebbles', 'Small circles lying against each other.'),
  t('point', 'The tip of a needle: sharp for woven fabric, light ball for knits.'),
  t('predicted', 'Worked out from models, not yet tried. A dashed line stands under it.'),
  t('puckers', 'Small gathers along a line of stitches.'),
  t(
    'railroading',
    'The bobbin thread lying flat on the back: the top is too tight, or the bobbin too loose.',
  ),
  t('recommended quilting distance', 'The widest gap a batting holds without quilting, as its label says.'),
  t('regulator', 'What keeps stitches even while the hands change their speed.', 'stitch regulator'),
  t('ruler foot', 'A foot with a high rim, to guide along a thick ruler.'),
  t('sandwich', 'Top, batting and backing together.'),
  t('sashing', 'The strips between blocks.'),
  t('scallop', 'A row of arcs along an edge.'),
  t('set-up', 'Thread, needle, foot, stitch and tensions for one zone.'),
  t('shank', 'The part of a needle that is clamped; needles fit only machines of their shank.'),
  t('shred', 'A top thread fraying at the eye.'),
  t('skipped stitch', 'A stitch whose loop the hook did not take.'),
  t('spacing', 'How far lines lie from each other.', 'gap'),
  t('spi', 'Stitches per inch.', 'stitches per inch', 'stitch length'),
  t('spun', 'Thread of short fibres, such as cotton; it sheds some lint.'),
  t('stabilise', 'Hold the layers with a first line, mostly in the ditch, before anything is filled.'),
  t('tack down', 'A few small stitches in place at a start or end.', 'locking stitches'),
  t('test strip', 'The margin of the quilt or a scrap of the same layers, where tensions are tried.'),
  t('tested', 'Measured, or confirmed by a test. A solid line stands under it.'),
  t('tex', 'Grams of a thousand metres of thread: the higher, the thicker.'),
  t('throat', 'The room between needle and the machine’s arm; it sets how deep a pass is.', 'throat space'),
  t('ticket', 'An old number for thread; three thousand divided by it is tex.', 'Tkt'),
  t('tie-off', 'Ending a line so that it holds: locked, or knotted and buried.', 'bury the ends'),
  t('top tension', 'How hard the top thread is held between its discs.'),
  t('trapunto', 'Figures stuffed from the back so that they stand up.'),
  t('variegated', 'Thread of several colours along its length.', 'multicolour thread'),
  t('weight', 'A number for thread: the higher, the finer. Makers use it loosely.', 'wt', '40 wt'),
  t('whole cloth', 'A quilt whose top is one piece of fabric; the quilting is the picture.'),
  t('zone', 'An area of a quilt that is sewn with one set-up.'),
].sort((a, b) => a.term.localeCompare(b.term, 'en'));

const byName = new Map(
  GLOSSARY.flatMap((g) => [g.term, ...g.also].map((n) => [n.toLowerCase(), g] as const)),
);

/** What a word means. @throws CoreError `unknown-id` for a word that stands nowhere. */
export function meaningOf(word: string): GlossaryTerm {
  const found = byName.get(word.toLowerCase());
  if (!found) throw new CoreError('unknown-id', `“${word}” stands in no glossary.`, 'word');
  return found;
}

/** A word's entry; undefined for a word that needs none. */
export const termOf = (word: string): GlossaryTerm | undefined => byName.get(word.toLowerCase());

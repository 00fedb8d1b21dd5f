import MailComposer from 'nodemailer/lib/mail-composer';
import { format } from 'date-fns';
import { dateOfDay } from '@/core/calendar/days';
import { GRACE_DAYS } from '@/core/calendar/promise';
import { letter, type LetterFacts, type LetterKind } from '@/core/letters/letters';
import { techniques } from '@/core/tables/techniques';
import { lengthText } from '@/core/units/length-text';
import { moneyText } from '@/core/units/money';
import { readClient } from '@/data/clients';
import { readHandBack } from '@/data/hand-back';
import { readPhotographBytes, readPhotographs } from '@/data/intakes';
import { readOffers } from '@/data/offers';
import { readPreferences } from '@/data/preferences';
import { dueWords, offerWords } from './offer-words';
import { signs } from '@/core/tables/symptoms';
import type { Sql } from '@/data/sql';
import { wayPictures, waysOf } from './audition-pictures';
import { readCalendar } from './calendar';
import { cameOutOf, washingOf } from './client-sheet';
import type { QuiltView } from './quilt-view';
import { coneName } from './zone-brief';

const MOST_PICTURES = 6;

/** Everything a letter about a quilt may tell, as it stands. */
export async function letterFacts(sql: Sql, view: QuiltView, now: Date): Promise<LetterFacts> {
  const { quilt, zones, setups, shelf, conditions, faults } = view;
  const [preferences, calendar, hand, photographs, offers, ways] = await Promise.all([
    readPreferences(sql),
    readCalendar(sql, now),
    readHandBack(sql, quilt.id),
    readPhotographs(sql, { quiltId: quilt.id }),
    readOffers(sql, quilt.id),
    waysOf(sql, quilt.id, zones),
  ]);
  const standing = offers.find((o) => o.state === 'offered' || o.state === 'agreed');
  const { units, currency, name } = preferences!;
  const size = (w: number, l: number) => `${lengthText(w, units)} by ${lengthText(l, units)}`;
  const job = calendar?.jobs.find((j) => j.quilt.id === quilt.id);
  const out = cameOutOf(view, hand);
  const thread = (zoneId: string) => {
    const top = shelf.find((c) => c.id === setups.get(zoneId)?.topId);
    return top ? coneName(top) : null;
  };
  return {
    studio: name,
    client: quilt.client,
    quilt: quilt.name,
    size: size(quilt.widthIn, quilt.lengthIn),
    dueOn: quilt.dueOn,
    batting: quilt.batting,
    backing: quilt.backing,
    wishes: quilt.wishes,
    care: quilt.care,
    deposit: quilt.depositMinor === null ? null : moneyText(quilt.depositMinor, currency),
    delivery: quilt.delivery,
    tracking: quilt.tracking,
    conditions,
    zones: zones.map((z) => ({
      letter: z.letter,
      name: z.name,
      technique: techniques.get(z.technique).label,
      thread: thread(z.id),
    })),
    ways,
    today: format(now, 'yyyy-MM-dd'),
    begun: quilt.sewn.length > 0,
    frameOn: job ? dateOfDay(job.startDay) : null,
    newDay: job ? dateOfDay(job.sureDay + GRACE_DAYS) : null,
    measures: out && size(out.widthIn, out.lengthIn),
    mended: faults
      .filter((f) => f.status === 'mended')
      .map((f) =>
        f.symptoms
          .map((s) => signs.find(s)?.label ?? s)
          .join(', ')
          .toLowerCase(),
      ),
    washing: washingOf(view).lines,
    due: standing?.state === 'agreed' ? dueWords(standing, quilt.depositMinor) : null,
    offer: standing ? offerWords(standing) : null,
    pictures: Math.min(MOST_PICTURES, photographs.length),
  };
}

/** A letter that any mail program opens, addressed and not sent yet, with the quilt's photographs where they belong. */
export async function letterFile(sql: Sql, view: QuiltView, kind: LetterKind, now: Date): Promise<Buffer> {
  const [facts, client, photographs] = await Promise.all([
    letterFacts(sql, view, now),
    readClient(sql, view.quilt.clientId),
    readPhotographs(sql, { quiltId: view.quilt.id }),
  ]);
  const moments: Readonly<Partial<Record<LetterKind, string[]>>> = {
    found: ['condition'],
    approve: ['take-in', 'test'],
    ready: ['hand-back'],
  };
  const wanted = photographs.filter((p) => moments[kind]?.includes(p.moment)).slice(-MOST_PICTURES);
  const pictures = await Promise.all(wanted.map((p) => readPhotographBytes(sql, p.id)));
  const ways = kind === 'approve' ? await wayPictures(sql, view.quilt.id, view.zones) : [];
  const { subject, paragraphs } = letter(kind, { ...facts, pictures: wanted.length });
  const mail = new MailComposer({
    from: { name: facts.studio || 'The studio', address: '' },
    ...(client?.email ? { to: { name: client.name, address: client.email } } : {}),
    subject,
    text: `${paragraphs.join('\n\n')}\n`,
    headers: { 'X-Unsent': '1' },
    date: now,
    attachments: [
      ...ways,
      ...pictures.flatMap((p, i) =>
        p ? [{ filename: `quilt-${i + 1}.jpg`, content: p.bytes, contentType: p.mime }] : [],
      ),
    ],
  });
  return mail.compile().build();
}

/** A file's name out of a quilt's. */
export const letterName = (quilt: string, kind: LetterKind, now: Date): string =>
  `${quilt.replace(/[^\w]+/gu, '-').toLowerCase()}-${kind}-${format(now, 'yyyy-MM-dd')}.eml`;

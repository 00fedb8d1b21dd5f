import { answerText, failed } from './answer';

const isJson = (text: string): boolean => {
  try {
    JSON.parse(text);
    return true;
  } catch {
    return false;
  }
};

/** True when the text is the beginning of a JSON document that only wants more. */
function unfinished(text: string): boolean {
  try {
    JSON.parse(text);
    return false;
  } catch (error) {
    const message = (error as Error).message;
    const at = /position (\d+)/.exec(message);
    return /unexpected end|end of/i.test(message) || (at !== null && Number(at[1]) >= text.length);
  }
}

/**
 * A conversation of one verb: one request per line, or one JSON document over several lines; one answer
 * line per request, written before the next request is read. A line that only begins a document waits for
 * the rest; `idle()` says that nothing more came, and then it is answered as the bad line it is.
 */
export function conversation(verb: string, write: (line: string) => void) {
  let pending = '';
  let anyFailed = false;
  const reply = (text: string) => {
    const response = answerText(verb, text);
    anyFailed ||= failed(response);
    write(JSON.stringify(response) + '\n');
  };
  const flush = () => {
    const text = pending;
    pending = '';
    if (text.trim()) reply(text);
  };
  return {
    line(line: string) {
      if (!line.trim()) return;
      // A whole object that is not indented is a request of its own: what was pending is a broken line.
      if (pending && line.startsWith('{') && isJson(line)) flush();
      const joined = pending ? `${pending}\n${line}` : line;
      if (isJson(joined) || (!pending && !unfinished(line))) {
        pending = '';
        reply(joined);
      } else if (unfinished(joined)) pending = joined;
      else {
        flush();
        this.line(line);
      }
    },
    idle: flush,
    end(): boolean {
      flush();
      return !anyFailed;
    },
    get waiting() {
      return pending !== '';
    },
  };
}

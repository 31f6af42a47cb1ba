package app.nosegay.captions;

import app.nosegay.text.CoreText;
import app.nosegay.text.JsonText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.JsonNode;
import com.ibm.icu.text.CharsetDetector;
import com.ibm.icu.text.CharsetMatch;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads timed transcripts leniently: WebVTT, SubRip, JSON with word times, and pasted text with {@code [m:ss]} or {@code m:ss} stamps,
 * in UTF-8, UTF-16 or an older encoding, with any line ends. Lines out of order are sorted; negative times are dropped.
 */
public final class TranscriptReader {
    private static final Pattern ARROW = Pattern.compile(
            "^\\s*((?:\\d+:)?\\d{1,3}:\\d{1,2}(?:[.,]\\d{1,6})?)\\s*-->\\s*((?:\\d+:)?\\d{1,3}:\\d{1,2}(?:[.,]\\d{1,6})?).*$");
    private static final Pattern STAMP =
            Pattern.compile("^\\s*[\\[(]?((?:\\d{1,2}:)?\\d{1,3}:\\d{2}(?:[.,]\\d{1,3})?)[\\])]?[\\s:–-]*(.*)$");
    /** Who speaks, as WebVTT tells it. */
    private static final Pattern VOICE = Pattern.compile("<v(?:\\.[^\\s>]{0,80})?\\s+([^>]{1,200})>");

    private static final Pattern TAG = Pattern.compile("<[^>]{0,200}>|\\{\\\\[^}]{0,80}\\}");
    /** A JSON word list is cut into lines at pauses this long. */
    private static final Length PAUSE = Length.ofMillis(600);

    private static final Pattern INNER_TIME = Pattern.compile("<((?:\\d+:)?\\d{1,3}:\\d{2}[.,]\\d{1,3})>");
    private static final Length ROLLS_WITHIN = Length.ofMillis(60);

    private static final int MOST_WORDS_A_LINE = 12;
    /** The longest words people say have some forty letters. */
    private static final Pattern NO_WORD = Pattern.compile("(\\S{64})\\S+");

    private TranscriptReader() {}

    /** The lines of a transcript file's bytes, in order of time; fails with a sentence for the user when nothing in it is timed. */
    public static List<Caption> read(byte[] bytes) throws IOException {
        String text = decode(bytes);
        String start = text.stripLeading();
        List<Caption> captions = start.startsWith("[{") || start.startsWith("{") || start.matches("(?s)\\[\\s*\\{.*")
                ? words(text)
                : lines(text);
        if (captions.isEmpty()) {
            throw new IOException(CoreText.of("captions.transcript-reader.no-timed-line-was-found"));
        }
        return captions.stream()
                .map(TranscriptReader::readable)
                .sorted(Comparator.comparing(Caption::start))
                .toList();
    }

    /** Without the rest of what is no word in any language: damaged files hold such, and looking for words in it takes minutes. */
    private static Caption readable(Caption caption) {
        return NO_WORD.matcher(caption.text()).find()
                ? new Caption(
                                caption.start(),
                                caption.end(),
                                NO_WORD.matcher(caption.text()).replaceAll("$1"))
                        .by(caption.speaker())
                : caption;
    }

    /** Bytes as text: a byte-order mark first, then valid UTF-8, then the likeliest older encoding. */
    public static String decode(byte[] bytes) {
        if (bytes.length >= 2 && (bytes[0] & 0xff) == 0xff && (bytes[1] & 0xff) == 0xfe) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE);
        }
        if (bytes.length >= 2 && (bytes[0] & 0xff) == 0xfe && (bytes[1] & 0xff) == 0xff) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE);
        }
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            return text.startsWith("\ufeff") ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            CharsetMatch likeliest = new CharsetDetector().setText(bytes).detect();
            // Short western text is often taken for something exotic: only a confident answer is believed.
            boolean sure =
                    likeliest != null && likeliest.getConfidence() >= 40 && Charset.isSupported(likeliest.getName());
            return new String(bytes, sure ? Charset.forName(likeliest.getName()) : Charset.forName("windows-1252"));
        }
    }

    private static List<Caption> lines(String text) {
        String[] lines = text.replace("\r\n", "\n").replace('\r', '\n').split("\n");
        boolean arrows = false;
        for (String line : lines) {
            arrows |= ARROW.matcher(line).matches();
        }
        return arrows ? arrowed(lines) : stamped(lines);
    }

    private static List<Caption> arrowed(String[] lines) {
        List<Caption> captions = new ArrayList<>();
        List<String> shown = List.of();
        Time<Axis.Take> shownUntil = Time.zero();
        boolean rollsUp = false;
        for (int i = 0; i < lines.length; i++) {
            Matcher arrow = ARROW.matcher(lines[i]);
            if (!arrow.matches()) {
                continue;
            }
            List<String> own = new ArrayList<>();
            int j = i + 1;
            while (j < lines.length
                    && !endsCue(lines, j)
                    && !ARROW.matcher(lines[j]).matches()) {
                if (!lines[j].isBlank()) {
                    own.add(lines[j].strip());
                }
                j++;
            }
            boolean numberBelongsToNext =
                    j < lines.length && ARROW.matcher(lines[j]).matches();
            if (numberBelongsToNext && !own.isEmpty() && own.get(own.size() - 1).matches("\\d+")) {
                own.remove(own.size() - 1);
            }
            Time<Axis.Take> start = time(arrow.group(1));
            Time<Axis.Take> end = time(arrow.group(2));
            if (!end.isBefore(start)) {
                // Live captions roll up: a line already shown is shown again above the new one.
                // After a pause too, once the file has been seen to do it.
                boolean soon = start.since(shownUntil).compareTo(ROLLS_WITHIN) <= 0;
                boolean flash = end.since(start).compareTo(ROLLS_WITHIN) <= 0;
                boolean again = !own.isEmpty() && shown.contains(clean(own.get(0)));
                boolean more = own.size() > 1;
                boolean timed =
                        more && INNER_TIME.matcher(own.get(own.size() - 1)).find();
                boolean rolls = soon && (more || flash) || again && more && (rollsUp || timed);
                rollsUp |= again && (soon && (more || flash) || timed);
                List<String> before = shown;
                List<String> fresh = own.stream()
                        .filter(l -> !rolls || !before.contains(clean(l)))
                        .toList();
                captions.addAll(voices(start, end, String.join(" ", fresh)));
                shown = own.stream().map(TranscriptReader::clean).toList();
                shownUntil = end;
            }
            i = j - 1;
        }
        return captions;
    }

    /** An empty line ends a cue; one of spaces only when another cue or nothing follows, as live captions are padded with them. */
    private static boolean endsCue(String[] lines, int j) {
        if (!lines[j].isBlank() || lines[j].isEmpty() || j + 1 >= lines.length) {
            return lines[j].isBlank();
        }
        String next = lines[j + 1];
        boolean numbered = next.strip().matches("\\d+")
                && j + 2 < lines.length
                && ARROW.matcher(lines[j + 2]).matches();
        return next.isBlank() || numbered || ARROW.matcher(next).matches();
    }

    /** A cue as one caption, or one for each who speaks in it. */
    private static List<Caption> voices(Time<Axis.Take> start, Time<Axis.Take> end, String text) {
        Matcher voice = VOICE.matcher(text);
        if (!voice.find()) {
            return caption(start, end, text).stream().toList();
        }
        String first = clean(voice.group(1));
        if (!voice.find()) {
            return caption(start, end, text).map(c -> c.by(first)).stream().toList();
        }
        List<Caption.Word> all = new Caption(start, end, clean(text)).words();
        List<Caption> told = new ArrayList<>();
        String speaker = "";
        int from = 0;
        int word = 0;
        for (voice.reset(); voice.find(); from = voice.end()) {
            word = told(told, all, word, clean(text.substring(from, voice.start())), speaker);
            speaker = clean(voice.group(1));
        }
        told(told, all, word, clean(text.substring(from)), speaker);
        return told;
    }

    /** Adds what one speaker says in a cue: the next of its words; gives the number of the word after them. */
    private static int told(List<Caption> to, List<Caption.Word> all, int from, String text, String speaker) {
        if (text.isEmpty()) {
            return from;
        }
        int end = Math.min(all.size(), from + text.split("\\s+").length);
        to.add(Caption.of(all.subList(from, end)).by(speaker));
        return end;
    }

    /** One caption; its words at their own times where it has time tags inside; empty when nothing is said. */
    private static Optional<Caption> caption(Time<Axis.Take> start, Time<Axis.Take> end, String text) {
        List<Caption.Word> words = new ArrayList<>();
        Matcher tag = INNER_TIME.matcher(text);
        Time<Axis.Take> at = start;
        int from = 0;
        while (tag.find()) {
            Time<Axis.Take> next = time(tag.group(1));
            timed(words, at, next, clean(text.substring(from, tag.start())));
            at = Time.max(at, next);
            from = tag.end();
        }
        String rest = clean(text.substring(from));
        if (from == 0) {
            return rest.isEmpty() ? Optional.empty() : Optional.of(new Caption(start, end, rest));
        }
        Time<Axis.Take> spoken = at.plus(SpeechRate.DEFAULT.toSay(rest, false));
        timed(words, at, Time.min(Time.max(end, at), spoken), rest);
        return words.isEmpty() ? Optional.empty() : Optional.of(Caption.of(words));
    }

    private static void timed(List<Caption.Word> to, Time<Axis.Take> start, Time<Axis.Take> end, String words) {
        if (!words.isEmpty()) {
            to.addAll(new Caption(start, Time.max(start, end), words).words());
        }
    }

    private static List<Caption> stamped(String[] lines) {
        List<Time<Axis.Take>> times = new ArrayList<>();
        List<StringBuilder> texts = new ArrayList<>();
        for (String line : lines) {
            Matcher stamp = STAMP.matcher(line);
            if (stamp.matches()) {
                times.add(time(stamp.group(1)));
                texts.add(new StringBuilder(stamp.group(2)));
            } else if (!texts.isEmpty() && !line.isBlank()) {
                texts.get(texts.size() - 1).append(' ').append(line.strip());
            }
        }
        List<Caption> captions = new ArrayList<>();
        for (int i = 0; i < times.size(); i++) {
            String words = clean(texts.get(i).toString());
            if (!words.isEmpty()) {
                Time<Axis.Take> spoken = times.get(i).plus(SpeechRate.DEFAULT.toSay(words, false));
                Time<Axis.Take> next = i + 1 < times.size() ? times.get(i + 1) : spoken;
                captions.add(new Caption(times.get(i), next.isAfter(times.get(i)) ? next : spoken, words));
            }
        }
        return captions;
    }

    private static String clean(String text) {
        String plain = TAG.matcher(text).replaceAll("");
        return plain.replace("&nbsp;", " ")
                .replace("&lt;", "<")
                .replace("&gt;", ">")
                .replace("&amp;", "&")
                .strip();
    }

    private static Time<Axis.Take> time(String text) {
        String[] parts = text.replace(',', '.').split(":");
        double seconds = 0;
        for (String part : parts) {
            seconds = seconds * 60 + Double.parseDouble(part);
        }
        return Time.ofSeconds(seconds);
    }

    private static List<Caption> words(String json) throws IOException {
        JsonNode root = JsonText.tree(json, CoreText.of("text.json-text.transcript"));
        JsonNode list = root.isArray() ? root : root.path("words");
        List<Caption> captions = new ArrayList<>();
        List<Caption.Word> line = new ArrayList<>();
        Time<Axis.Take> end = null;
        String speaker = "";
        for (JsonNode node : list) {
            String word = node.path("word").asText(node.path("text").asText("")).strip();
            if (word.isEmpty()
                    || !node.path("start").isNumber()
                    || node.path("start").asDouble() < 0) {
                continue;
            }
            Time<Axis.Take> from = Time.ofSeconds(node.path("start").asDouble());
            Time<Axis.Take> to = Time.ofSeconds(
                    Math.max(node.path("start").asDouble(), node.path("end").asDouble(0)));
            String says = node.path("speaker").asText("");
            boolean breakHere = end != null
                    && (from.since(end).compareTo(PAUSE) > 0
                            || line.size() >= MOST_WORDS_A_LINE
                            || !says.equals(speaker));
            if (breakHere) {
                captions.add(Caption.of(line).by(speaker));
                line.clear();
            }
            speaker = says;
            end = to;
            line.add(new Caption.Word(from, to, word));
        }
        if (!line.isEmpty()) {
            captions.add(Caption.of(line).by(speaker));
        }
        return captions;
    }
}

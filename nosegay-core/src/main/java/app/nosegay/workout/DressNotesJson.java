package app.nosegay.workout;

import app.nosegay.dress.CardTiming;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Face;
import app.nosegay.dress.FrameShape;
import app.nosegay.dress.Layout;
import app.nosegay.dress.Style;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** The part of a workout file that holds what was decided about the dressing; all of it may be absent. */
final class DressNotesJson {
    private DressNotesJson() {}

    static void write(ObjectNode node, DressNotes notes) {
        node.set("style", StyleJson.write(notes.style()));
        ArrayNode off = node.putArray("off");
        new TreeSet<>(notes.off()).forEach(e -> off.add(word(e)));
        ArrayNode places = node.putArray("places");
        notes.places().forEach(p -> places.addObject()
                .put("group", word(p.group()))
                .put("scope", p.scope())
                .put("anchor", word(p.anchor()))
                .put("shape", p.shape() == null ? null : word(p.shape())));
        DressNotes.Sound sound = notes.sound();
        node.putObject("sound")
                .put("levelled", sound.levelled())
                .put("timerSounds", sound.timerSounds())
                .put("music", sound.music())
                .put("licence", sound.licence())
                .put("musicDb", sound.musicDb())
                .put("onBeat", sound.onBeat())
                .put("fadesNoises", sound.fadesNoises());
        DressNotes.Cover cover = notes.cover();
        node.putObject("cover")
                .put("take", cover.take())
                .put("seconds", cover.time().seconds())
                .put("title", cover.title())
                .put("line", cover.line())
                .put("corner", cover.corner() == null ? "" : word(cover.corner()));
        ArrayNode timings = node.putArray("timings");
        notes.timings().forEach(t -> timings.addObject()
                .put("interval", t.interval())
                .put("kind", word(t.kind()))
                .put("words", t.words())
                .put("fromMicros", t.from().micros())
                .put("toMicros", t.to().micros()));
    }

    static DressNotes read(JsonNode node) {
        if (!node.isObject()) {
            return DressNotes.NONE;
        }
        DressNotes notes = DressNotes.NONE.withStyle(style(node.path("style")));
        if (node.path("off").isArray()) {
            Set<DressNotes.Extra> off = EnumSet.noneOf(DressNotes.Extra.class);
            node.path("off")
                    .forEach(o -> of(DressNotes.Extra.values(), o.asText()).ifPresent(off::add));
            notes = new DressNotes(notes.style(), off, notes.places(), notes.sound(), notes.cover(), notes.timings());
        }
        for (JsonNode p : node.path("places")) {
            Optional<Layout.Group> group =
                    of(Layout.Group.values(), p.path("group").asText());
            Optional<Layout.Anchor> anchor =
                    of(Layout.Anchor.values(), p.path("anchor").asText());
            if (group.isPresent() && anchor.isPresent()) {
                FrameShape shape =
                        of(FrameShape.values(), p.path("shape").asText()).orElse(null);
                notes = notes.with(
                        new DressNotes.Put(group.get(), p.path("scope").asText(), anchor.get(), shape));
            }
        }
        for (JsonNode t : node.path("timings")) {
            notes = timing(t).map(notes::with).orElse(notes);
        }
        JsonNode s = node.path("sound");
        DressNotes.Sound usual = DressNotes.Sound.USUAL;
        JsonNode c = node.path("cover");
        notes = notes.withCover(new DressNotes.Cover(
                c.path("take").asText(),
                Time.ofSeconds(c.path("seconds").asDouble()),
                c.path("title").asText(),
                c.path("line").asText(),
                of(Layout.Anchor.values(), c.path("corner").asText()).orElse(null)));
        return notes.withSound(new DressNotes.Sound(
                s.path("levelled").asBoolean(usual.levelled()),
                s.path("timerSounds").asBoolean(usual.timerSounds()),
                s.path("music").asText(usual.music()),
                s.path("licence").asText(usual.licence()),
                s.path("musicDb").asDouble(usual.musicDb()),
                s.path("onBeat").asBoolean(usual.onBeat()),
                s.path("fadesNoises").asBoolean(usual.fadesNoises())));
    }

    private static Optional<CardTiming> timing(JsonNode t) {
        Length from = new Length(Math.max(0, t.path("fromMicros").asLong()));
        Length to = Length.max(from, new Length(t.path("toMicros").asLong()));
        return of(Face.CardKind.values(), t.path("kind").asText())
                .map(kind -> new CardTiming(
                        t.path("interval").asText(), kind, t.path("words").asText(), from, to));
    }

    /** A style that cannot be used any more is no reason to lose the workout. */
    private static Style style(JsonNode node) {
        try {
            return node.isObject() ? StyleJson.read(node) : Style.PRESSED;
        } catch (IOException e) {
            return Style.PRESSED;
        }
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static <E extends Enum<E>> Optional<E> of(E[] values, String word) {
        return Arrays.stream(values).filter(v -> word(v).equals(word)).findFirst();
    }
}

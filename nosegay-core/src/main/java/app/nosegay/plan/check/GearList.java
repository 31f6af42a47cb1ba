package app.nosegay.plan.check;

import app.nosegay.cache.TextMemo;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.Header;
import app.nosegay.plan.terms.Load;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The gear of a workout: what is announced at the top, what the moves use and when, with household stand-ins from the gear file.
 *
 * @param announced from the {@code gear:} line
 * @param used from moves and attributes, by first use
 */
public record GearList(List<GearItem> announced, List<Use> used) {
    private static final Pattern WEIGHT = Pattern.compile(
            "(?:^| )((?:very )?light|medium|heavy|(?:2 ?x ?)?\\d+(?:\\.\\d+)?(?:-\\d+)? ?(?:kg|lb)s?)(?: |$)");
    private static final Pattern PAIR = Pattern.compile("\\b(?:(?:a )?pair(?: of)?|two)\\b");
    private static final Map<String, Known> KNOWN = load();
    private static final TextMemo<GearItem> ITEMS = new TextMemo<>(GearList::read);

    public GearList {
        announced = List.copyOf(announced);
        used = List.copyOf(used);
    }

    /** A piece of gear in use, with the first segment that needs it. */
    public record Use(GearItem item, Segment first) {
        public Time<Axis.Plan> from() {
            return first.start();
        }
    }

    private record Known(String name, List<String> aliases, String kind, List<String> standIns) {}

    private static Map<String, Known> load() {
        Map<String, Known> known = new LinkedHashMap<>();
        try (InputStream in = GearList.class.getResourceAsStream("gear.json")) {
            for (JsonNode node : JsonMapper.builder().build().readTree(in).path("gear")) {
                List<String> aliases = new ArrayList<>();
                node.path("aliases").forEach(a -> aliases.add(a.asText()));
                List<String> standIns = new ArrayList<>();
                node.path("standIns").forEach(a -> standIns.add(a.asText()));
                Known entry = new Known(
                        node.path("name").asText(), aliases, node.path("kind").asText(), standIns);
                known.put(entry.name(), entry);
                aliases.forEach(a -> known.put(a, entry));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(CoreText.of("plan.check.gear-list.the-shipped-gear-file-cannot"), e);
        }
        return known;
    }

    /** The gear of a whole workout. */
    public static GearList of(Timeline timeline, MoveLibrary library) {
        List<GearItem> announced = timeline.sheet().header().gear().stream()
                .filter(g -> !g.equalsIgnoreCase("none") && !g.equalsIgnoreCase("no gear"))
                .map(GearList::item)
                .toList();
        Map<String, Use> used = new LinkedHashMap<>();
        for (Segment s : timeline.segments()) {
            if (s.kind().isMoving()) {
                for (GearItem item : of(s, library, timeline.sheet().header())) {
                    used.putIfAbsent(item.name() + " " + item.weight(), new Use(item, s));
                }
            }
        }
        return new GearList(announced, List.copyOf(used.values()));
    }

    /**
     * What one segment uses: the sheet's own words, else what the library says of the move. A weight of the library's stands for whatever
     * weight the workout announces.
     */
    public static List<GearItem> of(Segment s, MoveLibrary library, Header header) {
        if (s.line() == null) {
            return List.of();
        }
        Attributes attributes = s.line().attributes().over(s.block().attributes());
        List<String> written = attributes.list(Attribute.GEAR);
        String load = attributes.load().map(Load::text).orElse("");
        List<GearItem> items = new ArrayList<>();
        if (!written.isEmpty()) {
            written.stream()
                    .filter(w -> !w.equalsIgnoreCase("none"))
                    .map(GearList::item)
                    .forEach(items::add);
        } else {
            s.moves(library).stream()
                    .flatMap(m -> m.gear().stream())
                    .distinct()
                    .map(GearList::item)
                    .map(i -> i.isWeight() ? announcedWeight(i, header) : i)
                    .forEach(items::add);
        }
        return load.isEmpty()
                ? items
                : items.stream().map(i -> i.isWeight() ? weighted(i, load) : i).toList();
    }

    private static GearItem announcedWeight(GearItem usual, Header header) {
        List<GearItem> weights = header.gear().stream()
                .map(GearList::item)
                .filter(GearItem::isWeight)
                .toList();
        boolean there =
                weights.isEmpty() || weights.stream().anyMatch(w -> w.name().equals(usual.name()));
        return there ? usual : weighted(weights.get(0), "");
    }

    private static GearItem weighted(GearItem item, String load) {
        return new GearItem(
                item.name(), load, item.optional(), item.alternatives(), item.kind(), item.standIns(), item.pair());
    }

    /** Reads one entry: {@code kettlebell medium}, {@code bench or low wall}, {@code optional mat}, {@code dumbbells 2 x 6 kg}. */
    public static GearItem item(String text) {
        return ITEMS.of(text);
    }

    private static GearItem read(String text) {
        String t = text.strip().toLowerCase(Locale.ROOT);
        boolean optional = t.startsWith("optional ") || t.endsWith(" optional") || t.endsWith("(optional)");
        t = t.replaceAll("^optional | \\(?optional\\)?$", "").strip();
        List<String> either = new ArrayList<>(List.of(t.split(" or ")));
        String first = either.remove(0).strip();
        Matcher weight = WEIGHT.matcher(first);
        String load = "";
        if (weight.find()) {
            load = weight.group(1);
            first = (first.substring(0, weight.start()) + " " + first.substring(weight.end())).strip();
        }
        boolean pair = PAIR.matcher(first).find();
        first = PAIR.matcher(first).replaceAll(" ").replaceAll("\\s+", " ").strip();
        Optional<Known> known = known(first);
        pair |= known.filter(k -> k.kind().equals("weight")).isPresent()
                && first.endsWith("s")
                && !known.get().name().endsWith("s");
        return new GearItem(
                known.map(Known::name).orElse(first),
                load,
                optional,
                either.stream().map(String::strip).toList(),
                known.map(Known::kind).orElse("other"),
                known.map(Known::standIns).orElse(List.of()),
                pair);
    }

    private static Optional<Known> known(String name) {
        Known exact = KNOWN.get(name);
        String single = name.endsWith("s") ? name.substring(0, name.length() - 1) : name;
        return Optional.ofNullable(exact != null ? exact : KNOWN.get(single));
    }

    /** Whether {@code item} or one of its alternatives is announced. */
    public Optional<GearItem> announced(GearItem item) {
        return announced.stream()
                .filter(a -> a.name().equals(item.name())
                        || a.alternatives().stream()
                                .anyMatch(x -> item(x).name().equals(item.name())))
                .findFirst();
    }
}

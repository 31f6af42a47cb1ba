package app.nosegay.plan.sheet;

import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.CallStyle;
import app.nosegay.plan.terms.Counts;
import app.nosegay.plan.terms.Load;
import app.nosegay.plan.terms.Pause;
import app.nosegay.plan.terms.RepPattern;
import app.nosegay.plan.terms.Reps;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Length;
import app.nosegay.time.Tempo;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The attributes of one line, read. A move's value overrides its block's: {@link #over}.
 *
 * @param values the values by attribute, each of the type its attribute reads
 */
public record Attributes(Map<Attribute, Object> values) {
    public static final Attributes NONE = new Attributes(Map.of());

    public Attributes {
        values = values.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(values));
    }

    public boolean has(Attribute attribute) {
        return values.containsKey(attribute);
    }

    /** These attributes, with those of {@code base} where this line is silent. */
    public Attributes over(Attributes base) {
        if (values.isEmpty() || base.values.isEmpty()) {
            return values.isEmpty() ? base : this;
        }
        Map<Attribute, Object> merged = new EnumMap<>(base.values);
        merged.putAll(values);
        return new Attributes(merged);
    }

    public Optional<Length> length(Attribute attribute) {
        return Optional.ofNullable((Length) values.get(attribute));
    }

    /** A planned stretch with its range, for {@code each work rest round-rest}. */
    public Optional<Pause> pause(Attribute attribute) {
        return Optional.ofNullable((Pause) values.get(attribute));
    }

    public Optional<Integer> number(Attribute attribute) {
        return Optional.ofNullable((Integer) values.get(attribute));
    }

    public Optional<String> words(Attribute attribute) {
        return Optional.ofNullable((String) values.get(attribute));
    }

    public boolean flag(Attribute attribute) {
        return Boolean.TRUE.equals(values.get(attribute));
    }

    @SuppressWarnings("unchecked") // the list attributes all read into lists of strings
    public List<String> list(Attribute attribute) {
        return (List<String>) values.getOrDefault(attribute, List.of());
    }

    public Optional<Reps> reps() {
        return Optional.ofNullable((Reps) values.get(Attribute.REPS));
    }

    public Optional<Tempo> tempo() {
        return Optional.ofNullable((Tempo) values.get(Attribute.TEMPO));
    }

    public Optional<Counts> counts() {
        return Optional.ofNullable((Counts) values.get(Attribute.COUNTS));
    }

    public Optional<Double> bpm() {
        return Optional.ofNullable((Double) values.get(Attribute.BPM));
    }

    public Optional<RepPattern> rep() {
        return Optional.ofNullable((RepPattern) values.get(Attribute.REP));
    }

    public Optional<Load> load() {
        return Optional.ofNullable((Load) values.get(Attribute.LOAD));
    }

    /** What the video shows, where that is less than the dose. */
    public Optional<Amount> shown() {
        return Optional.ofNullable((Amount) values.get(Attribute.SHOWN));
    }

    /** What the viewer is to do, where the video shows less. */
    public Optional<Amount> dose() {
        return Optional.ofNullable((Amount) values.get(Attribute.DOSE));
    }

    /** The calls of this block alone. */
    public Optional<CallStyle> calls() {
        return Optional.ofNullable((CallStyle) values.get(Attribute.CALLS));
    }

    public SideWay sides() {
        return (SideWay) values.getOrDefault(Attribute.SIDES, SideWay.NONE);
    }

    public Attribute.Demo demo() {
        return (Attribute.Demo) values.getOrDefault(Attribute.DEMO, Attribute.Demo.IN_REST);
    }

    /** Whether the move is explained the first time only; later rounds have their calls and nothing else. */
    public boolean saidOnce() {
        return values.get(Attribute.SAY) == Attribute.Say.ONCE;
    }

    public Optional<Attribute.StartSide> start() {
        return Optional.ofNullable((Attribute.StartSide) values.get(Attribute.START));
    }
}

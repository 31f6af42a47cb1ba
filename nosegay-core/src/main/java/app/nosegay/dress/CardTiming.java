package app.nosegay.dress;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * When a card of an interval comes and goes, decided by hand. It holds as long as the card says the same.
 *
 * @param interval the interval's id
 * @param words what the card says, heading and text
 * @param from when it comes, from the start of the interval
 * @param to when it goes
 */
public record CardTiming(String interval, Face.CardKind kind, String words, Length from, Length to) {
    boolean isOf(String otherInterval, Face.CardKind otherKind, String otherWords) {
        return interval.equals(otherInterval) && kind == otherKind && words.equals(otherWords);
    }

    CardTiming in(String otherInterval) {
        return new CardTiming(otherInterval, kind, words, from, to);
    }

    /** What a card can be known by. */
    public static String words(Face.Card card) {
        return (card.heading() + " " + card.text()).strip();
    }

    /** The card whose time may be chosen; empty for what follows the recording: timers, counters, titles, corrections. */
    public static Optional<Face.Card> card(Piece piece) {
        return piece instanceof Piece.Still still
                        && still.face() instanceof Face.Card card
                        && switch (card.kind()) {
                            case NEXT, OPTION, FORM, CAUTION, SECTION -> true;
                            case TITLE, SWITCH, CORRECTION, END -> false;
                        }
                ? Optional.of(card)
                : Optional.empty();
    }

    /**
     * The pieces of an interval with its cards when they are wanted: never outside the interval, never shorter than it takes to read them,
     * never two at once. A card for which there is no such time stays where it was.
     */
    static List<Piece> applied(List<Piece> pieces, String interval, Span<Axis.Cut> span, List<CardTiming> timings) {
        List<Piece> timed = new ArrayList<>(pieces);
        for (int i = 0; i < timed.size(); i++) {
            Piece piece = timed.get(i);
            Optional<Face.Card> card = card(piece);
            Optional<CardTiming> wanted = card.flatMap(c -> timings.stream()
                    .filter(t -> t.isOf(interval, c.kind(), words(c)))
                    .findFirst());
            if (wanted.isPresent()) {
                int own = i;
                wanted.get()
                        .free(timed, own, span, CardDresser.reading(card.get().text()))
                        .ifPresent(free -> timed.set(own, new Piece.Still(free, card.get())));
            }
        }
        return timed;
    }

    /** The stretch nearest to the wanted one that no other card has. */
    private Optional<Span<Axis.Cut>> free(List<Piece> pieces, int own, Span<Axis.Cut> interval, Length least) {
        List<Span<Axis.Cut>> taken = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            if (i != own && Dressing.group(pieces.get(i).at(pieces.get(i).span().start())) == Layout.Group.CARD) {
                taken.add(pieces.get(i).span());
            }
        }
        taken.sort(Comparator.comparing(Span::start));
        taken.add(new Span<>(interval.end(), interval.end()));
        Time<Axis.Cut> begin = interval.start().plus(from);
        Length length = Length.max(least, to.minus(from));
        Span<Axis.Cut> best = null;
        Time<Axis.Cut> free = interval.start();
        for (Span<Axis.Cut> next : taken) {
            Time<Axis.Cut> until = next.start();
            if (until.since(free).compareTo(least) >= 0) {
                Length fits = until.since(free).compareTo(length) < 0 ? until.since(free) : length;
                Time<Axis.Cut> at = Time.max(free, Time.min(begin, until.minus(fits)));
                boolean nearer = best == null || away(at, begin) < away(best.start(), begin);
                best = nearer ? new Span<>(at, at.plus(fits)) : best;
            }
            free = Time.max(free, next.end());
        }
        return Optional.ofNullable(best);
    }

    private static double away(Time<Axis.Cut> one, Time<Axis.Cut> other) {
        return Math.abs(one.since(other).seconds());
    }
}

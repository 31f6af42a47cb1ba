package app.nosegay.dress;

import app.nosegay.time.Length;
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
}

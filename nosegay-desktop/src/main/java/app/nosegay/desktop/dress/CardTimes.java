package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.dress.CardTiming;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Face;
import app.nosegay.time.Length;
import java.util.function.Supplier;

/** What is decided by hand about the cards of the chosen interval, as steps that can be undone. */
final class CardTimes implements OnScreenPage.Retiming {
    private final Session session;
    private final Supplier<String> interval;

    CardTimes(Session session, Supplier<String> interval) {
        this.session = session;
        this.interval = interval;
    }

    @Override
    public void move(Face.Card card, double from, double to) {
        CardTiming timing = new CardTiming(
                interval.get(), card.kind(), CardTiming.words(card), Length.ofSeconds(from), Length.ofSeconds(to));
        apply(DesktopText.of("dress.on-screen-page.move", card.heading()), notes().with(timing));
    }

    @Override
    public void back(Face.Card card) {
        apply(
                DesktopText.of("dress.on-screen-page.put-back", card.heading()),
                notes().withoutTiming(interval.get(), card.kind(), CardTiming.words(card)));
    }

    private DressNotes notes() {
        return session.workout().dressing();
    }

    private void apply(String what, DressNotes notes) {
        session.apply(what, session.workout().withDressing(notes));
    }
}

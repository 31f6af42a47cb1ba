package app.nosegay.plan.sheet;

import app.nosegay.plan.terms.Pause;
import java.util.Optional;

/** A pause written in one breath with its name or with what is done in it: {@code 1:00 water}, {@code Welcome 0:30}. */
record PauseAndWords(Pause pause, String words) {
    static PauseAndWords of(String text) {
        if (Pause.parse(text).isPresent()) {
            return new PauseAndWords(Pause.parse(text).get(), "");
        }
        int first = text.indexOf(' ');
        int last = text.lastIndexOf(' ');
        Optional<Pause> before = first < 0 ? Optional.empty() : Pause.parse(text.substring(0, first));
        Optional<Pause> behind = last < 0 ? Optional.empty() : Pause.parse(text.substring(last + 1));
        return before.isPresent()
                ? new PauseAndWords(before.get(), text.substring(first + 1).strip())
                : behind.isPresent()
                        ? new PauseAndWords(
                                behind.get(), text.substring(0, last).strip())
                        : new PauseAndWords(null, text);
    }
}

package app.nosegay.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.MissingResourceException;
import org.junit.jupiter.api.Test;

class MessagesTest {
    private final Messages messages = new Messages(CoreText.class);

    @Test
    void argumentsAreFilledInWithPluralsAndNumbers() {
        assertThat(messages.of("publish.caption-gap.message", 1)).startsWith("1 gap between");
        assertThat(messages.of("publish.caption-gap.message", 3)).startsWith("3 gaps between");
        assertThat(messages.of("sound.clipping.message", "take-1", 0.42))
                .isEqualTo("The sound of take-1 reaches +0.4 dBTP: it is clipped.");
    }

    @Test
    void bracesOfFieldsStandAsTheyAre() {
        assertThat(messages.of("script.end-card.fix")).isEqualTo("say {point}");
        assertThat(messages.of("script.number.fix", "minutes")).isEqualTo("write {minutes} instead of the number");
    }

    @Test
    void aMissingKeyIsAnErrorThatNamesItAndFindGivesNothing() {
        assertThatThrownBy(() -> messages.of("no.such"))
                .isInstanceOf(MissingResourceException.class)
                .hasMessageContaining("no.such")
                .hasMessageContaining("app/nosegay/text/messages.properties");
        assertThat(messages.find("no.such")).isEmpty();
        assertThat(messages.find("plan.change-over.reason")).isNotEmpty();
    }

    @Test
    void aClassWithoutABundleSaysSo() {
        assertThatThrownBy(() -> new Messages(String.class)).isInstanceOf(MissingResourceException.class);
    }
}

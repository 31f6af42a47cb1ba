package app.nosegay.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Pictures that are drawn ahead come in their order, and a failure to draw reaches who takes them. */
class PictureQueueTest {
    @Test
    void picturesComeInTheirOrder() {
        List<Integer> taken = new ArrayList<>();
        try (PictureQueue queue = new PictureQueue(3, 60, 4, 2, 2, (n, onto) -> onto.setRGB(0, 0, (int) n))) {
            for (int n = 3; n < 60; n++) {
                BufferedImage picture = queue.take();
                taken.add(picture.getRGB(0, 0) & 0xffffff);
                queue.giveBack(picture);
            }
        }
        assertThat(taken).hasSize(57).isSorted().startsWith(3).endsWith(59);
    }

    @Test
    void aFailureToDrawIsSaid() {
        try (PictureQueue queue = new PictureQueue(0, 9, 2, 2, 2, (n, onto) -> {
            throw new IllegalStateException("no paint");
        })) {
            assertThatThrownBy(queue::take)
                    .isInstanceOf(IllegalStateException.class)
                    .hasMessage("no paint");
        }
    }
}

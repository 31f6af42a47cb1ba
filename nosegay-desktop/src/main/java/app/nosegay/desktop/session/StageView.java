package app.nosegay.desktop.session;

import app.nosegay.plan.Finding;
import javafx.scene.layout.Region;

/** One stage of the work, as the shell shows it. */
public interface StageView {
    Region view();

    /** Called when it comes on screen. */
    default void entered() {}

    /** Shows the place a finding is about, where this stage has it. */
    default void goTo(Finding finding) {}

    /** Called when it leaves the screen: stops playing. */
    default void left() {}
}

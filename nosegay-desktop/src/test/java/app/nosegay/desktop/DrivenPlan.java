package app.nosegay.desktop;

import app.nosegay.desktop.plan.RunSheetEditor;

/** A real window whose plan is written. */
abstract class DrivenPlan extends DrivenWindow {
    static final String PLAN =
            "title: Small\npromise: 4 min\ntalk Hi  0:30\ncircuit Beds  rounds 2  work 0:40  rest 0:20\n "
                    + " squat\n  push-up\ncircuit Panes  work 0:30\n  plank\ntalk Bye  0:20\n";

    RunSheetEditor editor() {
        return lookup("#run-sheet").queryAs(RunSheetEditor.class);
    }

    void plan(String text) throws Exception {
        interact(() -> shell.session().apply("plan", shell.session().workout().withSheet(text)));
        until(() -> programme() != null && programme().workout().sheet().equals(text));
        until(() ->
                lookup("#run-sheet").tryQuery().isEmpty() || editor().getText().equals(text));
    }
}

package app.nosegay.listen;

import edu.cmu.sphinx.linguist.acoustic.Unit;
import edu.cmu.sphinx.linguist.acoustic.UnitManager;
import edu.cmu.sphinx.linguist.dictionary.Dictionary;
import edu.cmu.sphinx.linguist.dictionary.Pronunciation;
import edu.cmu.sphinx.linguist.dictionary.Word;
import edu.cmu.sphinx.util.props.PropertySheet;
import java.util.List;

/**
 * How words sound, for the recogniser. A word may carry a mark behind {@code #}, which tells the places of equal words apart and does not
 * change how it sounds. Made by the recogniser's set-up.
 */
public final class LineDictionary implements Dictionary {
    private UnitManager units;

    @Override
    public void newProperties(PropertySheet sheet) {
        units = (UnitManager) sheet.getComponent(PROP_UNIT_MANAGER);
    }

    @Override
    public Word getWord(String text) {
        if (text.startsWith("<")) {
            return silence(text);
        }
        List<String> ways = Pronunciations.of(text.replaceAll("#.*", ""));
        Pronunciation[] pronunciations = new Pronunciation[ways.size()];
        for (int i = 0; i < pronunciations.length; i++) {
            String[] phones = ways.get(i).split(" ");
            Unit[] sounds = new Unit[phones.length];
            for (int j = 0; j < phones.length; j++) {
                sounds[j] = units.getUnit(phones[j], false);
            }
            pronunciations[i] = new Pronunciation(sounds, "", 1);
        }
        return word(text, pronunciations, false);
    }

    private static Word word(String text, Pronunciation[] pronunciations, boolean filler) {
        Word word = new Word(text, pronunciations, filler);
        for (Pronunciation p : pronunciations) {
            p.setWord(word);
        }
        return word;
    }

    private Word silence(String spelling) {
        Unit[] sound = {units.getUnit(UnitManager.SILENCE_NAME, true)};
        return word(spelling, new Pronunciation[] {new Pronunciation(sound, "", 1)}, true);
    }

    @Override
    public Word getSentenceStartWord() {
        return silence(SENTENCE_START_SPELLING);
    }

    @Override
    public Word getSentenceEndWord() {
        return silence(SENTENCE_END_SPELLING);
    }

    @Override
    public Word getSilenceWord() {
        return silence(SILENCE_SPELLING);
    }

    @Override
    public Word[] getFillerWords() {
        return new Word[] {getSilenceWord()};
    }

    @Override
    public void allocate() {
        Pronunciations.load();
    }

    @Override
    public void deallocate() {
        // The pronunciations are shared.
    }
}

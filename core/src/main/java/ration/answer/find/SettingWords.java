package ration.answer.find;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseWords;
import ration.answer.assess.StartingCase;
import ration.record.reading.Setting;
import ration.record.reading.Setting.Manoeuvre;

/** A setting as people say it. */
final class SettingWords {

    private SettingWords() {}

    /**
     * As it is said: the words of a case and of what is done, as in {@code level, left, cruise, return pinched}.
     *
     * @throws IllegalArgumentException with a sentence that lists what may be said
     */
    static Setting parse(Assessment a, String written) {
        Set<Manoeuvre> done = EnumSet.noneOf(Manoeuvre.class);
        List<String> rest = new java.util.ArrayList<>();
        for (String part : written.split(",")) {
            String word = part.strip().toLowerCase(Locale.ROOT);
            Arrays.stream(Manoeuvre.values())
                    .filter(m -> m.word().equals(word))
                    .findFirst()
                    .ifPresentOrElse(done::add, () -> rest.add(part));
        }
        String said = String.join(",", rest);
        try {
            return new Setting(said.isBlank() ? StartingCase.of(a.project()) : CaseWords.parse(a, said), done);
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(e.getMessage() + " Beside that: "
                    + Arrays.stream(Manoeuvre.values()).map(Manoeuvre::word).collect(Collectors.joining(", ")) + ".");
        }
    }
}

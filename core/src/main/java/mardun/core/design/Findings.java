package mardun.core.design;

import java.util.ArrayList;
import java.util.List;
import mardun.core.working.Sentence;

/** Collects what is found while a size is worked out; what the maker set aside keeps the reason. */
final class Findings {

    private final List<SetAside> setAside;
    private final List<Finding> found = new ArrayList<>();

    Findings(List<SetAside> setAside) {
        this.setAside = setAside;
    }

    void refuse(String place, Sentence what, Sentence remedy) {
        found.add(Finding.refused(place, what, remedy));
    }

    void care(Check check, String place, Sentence what, Sentence remedy) {
        Finding finding = Finding.care(check, place, what, remedy);
        found.add(setAside.stream()
                .filter(s -> s.check() == check && s.place().equals(place))
                .findFirst()
                .map(s -> finding.setAsideFor(s.reason()))
                .orElse(finding));
    }

    List<Finding> list() {
        return List.copyOf(found);
    }
}

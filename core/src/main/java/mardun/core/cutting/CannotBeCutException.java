package mardun.core.cutting;

import mardun.core.working.Sentence;

/** A piece that no cut from this cloth gives. */
public final class CannotBeCutException extends RuntimeException {

    private final transient Sentence sentence;

    public CannotBeCutException(Sentence sentence) {
        super(sentence.template());
        this.sentence = sentence;
    }

    public Sentence sentence() {
        return sentence;
    }
}

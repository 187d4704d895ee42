package mardun.app;

import mardun.app.stored.DiskFullException;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.SpringBootExceptionReporter;
import org.springframework.context.ConfigurableApplicationContext;

/** What {@link Mardun} tells the person who started it in a sentence isn't told once more with its insides. */
class ToldInASentence implements SpringBootExceptionReporter {

    ToldInASentence(@Nullable ConfigurableApplicationContext context) {}

    @Override
    public boolean reportException(Throwable failure) {
        return failure instanceof StartRefusedException
                || WorkroomFile.isDamage(failure)
                || DiskFullException.isBehind(failure);
    }
}

package mardun.app.backup;

/** Stops the application and starts it again, once what is being answered was answered. */
@FunctionalInterface
public interface Restart {

    void soon();
}

package mardun.app.background;

import java.util.concurrent.ThreadFactory;

/** Threads for what is done beside the answers; none of them keeps the application from ending. */
public final class Background {

    private Background() {}

    /** A thread of a name. */
    public static ThreadFactory named(String name) {
        return work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        };
    }

    /** The same for what lets everything else go first. */
    public static ThreadFactory quiet(String name) {
        return work -> {
            Thread thread = named(name).newThread(work);
            thread.setPriority(Thread.MIN_PRIORITY);
            return thread;
        };
    }
}

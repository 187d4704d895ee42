package mardun.app;

import java.io.IOException;
import java.time.Clock;
import java.util.Arrays;
import java.util.concurrent.atomic.AtomicReference;
import mardun.app.backup.Restart;
import mardun.app.care.LogFile;
import mardun.app.demo.TravellingClock;
import mardun.app.stored.DiskFullException;
import mardun.app.stored.DurableFiles;
import mardun.core.batch.BatchPlanner;
import mardun.core.cutting.StripArithmetic;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnMissingBean;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;

/** The application: one workroom, one data folder, one process. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class Mardun {

    /** Exit code when the data folder or the port is taken. */
    private static final int TAKEN = 3;

    private static final long UNTIL_ANSWERED_MS = 500;

    public static void main(String[] args) {
        try {
            run(args);
        } catch (StartRefusedException refused) {
            System.err.println(refused.getMessage());
            System.exit(TAKEN);
        }
    }

    /**
     * Starts the application.
     *
     * @throws StartRefusedException with a sentence, if the data folder or the port is in use, or the database is damaged
     */
    public static ConfigurableApplicationContext run(String... args) {
        DurableFiles.register();
        SpringApplication application = new SpringApplication(Mardun.class);
        AtomicReference<WorkroomFolder.Taken> taken = new AtomicReference<>();
        application.addInitializers(context -> {
            try {
                taken.set(WorkroomFolder.takeFor(context));
                LogFile.begin(taken.get().folder());
            } catch (IOException notWritable) {
                throw new StartRefusedException(
                        "The data folder " + context.getEnvironment().getProperty("mardun.data")
                                + " can't be written (" + notWritable.getMessage()
                                + "). Let yourself write there, or choose another folder with MARDUN_DATA.",
                        notWritable);
            }
        });
        try {
            return application.run(args);
        } catch (RuntimeException failure) {
            if (taken.get() != null) {
                taken.get().giveBack();
            }
            if (WorkroomFile.isDamage(failure)) {
                throw WorkroomFile.damaged(taken.get().folder(), failure);
            }
            if (DiskFullException.isBehind(failure)) {
                throw new StartRefusedException(
                        "The disk that holds " + taken.get().folder()
                                + " is full, so the workroom can't be opened. Nothing was changed. Make room on it, and start again.",
                        failure);
            }
            throw failure;
        }
    }

    /** Once what is being answered was answered, all is stopped and started again in the same process. */
    @Bean
    Restart restart(
            ConfigurableApplicationContext context,
            ApplicationArguments arguments,
            @Value("${mardun.restarts}") boolean restarts) {
        return () -> {
            if (restarts) {
                Thread thread = new Thread(() -> again(context, arguments.getSourceArgs()), "restart");
                // It has to outlive the application that it stops.
                thread.setDaemon(false);
                thread.start();
            }
        };
    }

    private static void again(ConfigurableApplicationContext context, String[] args) {
        try {
            Thread.sleep(UNTIL_ANSWERED_MS);
            context.close();
            // What was asked for at the first start was done then.
            main(Arrays.stream(args)
                    .filter(argument -> !argument.startsWith("--mardun.restore="))
                    .toArray(String[]::new));
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Bean
    BatchPlanner batchPlanner() {
        return new BatchPlanner(new StripArithmetic());
    }

    @Bean
    @ConditionalOnMissingBean(TravellingClock.class)
    Clock clock() {
        return Clock.systemDefaultZone();
    }
}

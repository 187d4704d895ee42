package mardun.app;

import java.io.IOException;
import java.time.Clock;
import mardun.app.demo.TravellingClock;
import mardun.core.batch.BatchPlanner;
import mardun.core.cutting.StripArithmetic;
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
     * @throws StartRefusedException with a sentence, if the data folder or the port is in use
     */
    public static ConfigurableApplicationContext run(String... args) {
        SpringApplication application = new SpringApplication(Mardun.class);
        application.addInitializers(context -> {
            try {
                WorkroomFolder.takeFor(context);
            } catch (IOException notWritable) {
                throw new StartRefusedException(
                        "The data folder can't be used: " + notWritable.getMessage(), notWritable);
            }
        });
        return application.run(args);
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

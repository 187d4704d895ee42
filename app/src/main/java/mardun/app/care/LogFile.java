package mardun.app.care;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.PatternLayout;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.LoggingEvent;
import ch.qos.logback.core.rolling.RollingFileAppender;
import ch.qos.logback.core.rolling.SizeAndTimeBasedRollingPolicy;
import ch.qos.logback.core.util.FileSize;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;

/**
 * What the application says of itself, in the workroom's folder: a file a day or two megabytes, a fortnight long and never more than
 * twenty megabytes. What was typed isn't in it ({@link Masked}).
 */
public final class LogFile {

    private static final String FOLDER = "log";
    private static final String NAME = "mardun.log";
    private static final String APPENDER = "workroom";
    private static final int DAYS = 14;
    private static final FileSize LARGEST = FileSize.valueOf("2MB");
    private static final FileSize ALL = FileSize.valueOf("20MB");
    private static final String PATTERN = "%d{yyyy-MM-dd'T'HH:mm:ss.SSSXXX} %-5level %logger{30} %masked%n%nopex";

    private LogFile() {}

    /** Writes it from now on into the folder of a workroom that is about to start. */
    public static void begin(Path workroom) {
        begin(workroom, (LoggerContext) LoggerFactory.getILoggerFactory());
    }

    static void begin(Path workroom, LoggerContext context) {
        Logger root = context.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        root.detachAppender(APPENDER);

        RollingFileAppender<ILoggingEvent> appender = new RollingFileAppender<>();
        appender.setContext(context);
        appender.setName(APPENDER);
        appender.setFile(workroom.resolve(FOLDER).resolve(NAME).toString());

        SizeAndTimeBasedRollingPolicy<ILoggingEvent> policy = new SizeAndTimeBasedRollingPolicy<>();
        policy.setContext(context);
        policy.setParent(appender);
        policy.setFileNamePattern(
                workroom.resolve(FOLDER).resolve("mardun-%d{yyyy-MM-dd}.%i.log").toString());
        policy.setMaxHistory(DAYS);
        policy.setMaxFileSize(LARGEST);
        policy.setTotalSizeCap(ALL);
        appender.setRollingPolicy(policy);

        PatternLayoutEncoder encoder = new PatternLayoutEncoder() {
            @Override
            public void start() {
                PatternLayout pattern = new PatternLayout();
                pattern.getInstanceConverterMap().put("masked", Masked::new);
                pattern.setContext(context);
                pattern.setPattern(getPattern());
                pattern.start();
                layout = pattern;
                started = true;
            }
        };
        encoder.setContext(context);
        encoder.setCharset(StandardCharsets.UTF_8);
        encoder.setPattern(PATTERN);
        encoder.start();
        appender.setEncoder(encoder);

        policy.start();
        appender.start();
        root.addAppender(appender);
        appender.doAppend(new LoggingEvent(
                LogFile.class.getName(),
                context.getLogger(LogFile.class),
                Level.INFO,
                "Mardun begins, on Java %s, %s %s, with %d processors and up to %d MB of memory"
                        .formatted(
                                System.getProperty("java.version"),
                                System.getProperty("os.name"),
                                System.getProperty("os.arch"),
                                Runtime.getRuntime().availableProcessors(),
                                Runtime.getRuntime().maxMemory() / 1_000_000),
                null,
                new Object[0]));
    }

    /** The files that there are, the oldest first. */
    static List<Path> files(Path workroom) throws IOException {
        Path folder = workroom.resolve(FOLDER);
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> file.getFileName().toString().endsWith(".log"))
                    .sorted(Comparator.comparing(
                                    (Path file) -> file.getFileName().toString().equals(NAME))
                            .thenComparing(Path::toString))
                    .toList();
        }
    }
}

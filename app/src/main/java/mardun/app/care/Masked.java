package mardun.app.care;

import ch.qos.logback.classic.pattern.ClassicConverter;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.IThrowableProxy;
import java.util.regex.Pattern;

/**
 * What is logged, with its trace, but without what stands in quotation marks or was a value of a row: there stand names and notes that
 * somebody typed.
 */
final class Masked extends ClassicConverter {

    private static final Pattern TYPED = Pattern.compile("“[^”]*”?|'[^']*'?|\"[^\"]*\"?|(?i:values)\\s*\\(.*");
    private static final String INSTEAD = "…";

    @Override
    public String convert(ILoggingEvent event) {
        StringBuilder told = new StringBuilder(masked(event.getFormattedMessage()));
        String before = "\n";
        for (IThrowableProxy cause = event.getThrowableProxy(); cause != null; cause = cause.getCause()) {
            told.append(before)
                    .append(cause.getClassName())
                    .append(": ")
                    .append(masked(String.valueOf(cause.getMessage())));
            int others = cause.getCommonFrames();
            var steps = cause.getStackTraceElementProxyArray();
            for (int i = 0; i < steps.length - others; i++) {
                told.append("\n\t").append(steps[i]);
            }
            if (others > 0) {
                told.append("\n\t… ").append(others).append(" as above");
            }
            before = "\nbecause of ";
        }
        return told.toString();
    }

    static String masked(String text) {
        return TYPED.matcher(text).replaceAll(INSTEAD);
    }
}

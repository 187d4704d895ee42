package mardun.app.door;

import java.time.Duration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.ErrorResponseException;

/** So many wrong passphrases came that the next one has to wait. */
class TooManyAttemptsException extends ErrorResponseException {

    TooManyAttemptsException(Duration wait) {
        super(HttpStatus.TOO_MANY_REQUESTS);
        long seconds = Math.max(1, wait.toSeconds() + 1);
        getBody().setTitle("Too many attempts");
        getBody()
                .setDetail("That was wrong too often. Try again in "
                        + (seconds < 120 ? seconds + " seconds." : (seconds + 59) / 60 + " minutes."));
        getHeaders().set(HttpHeaders.RETRY_AFTER, Long.toString(seconds));
    }
}

package mardun.app.web;

import java.sql.SQLException;
import java.util.Set;
import java.util.concurrent.ThreadLocalRandom;
import org.aopalliance.intercept.MethodInterceptor;
import org.aopalliance.intercept.MethodInvocation;
import org.springframework.aop.Advisor;
import org.springframework.aop.ProxyMethodInvocation;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.annotation.AnnotationMatchingPointcut;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.web.bind.annotation.RestController;

/**
 * A request that met another one on the same rows is tried again: its transaction was taken back whole, so nothing happens
 * twice. Only if that goes on is the maker asked to send it once more.
 */
@Configuration(proxyBeanMethods = false)
@Role(BeanDefinition.ROLE_INFRASTRUCTURE)
class LockRetry {

    private static final int TRIES = 4;
    private static final int LONGEST_PAUSE_MS = 60;

    /** H2's numbers for a dead lock, for a row that was changed meanwhile, and for a lock that didn't come free. */
    private static final Set<Integer> MET = Set.of(40001, 90131, 50200);

    @Bean
    @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static Advisor lockRetryAdvisor() {
        return new DefaultPointcutAdvisor(
                new AnnotationMatchingPointcut(RestController.class, true), (MethodInterceptor) LockRetry::retried);
    }

    private static Object retried(MethodInvocation request) throws Throwable {
        for (int tried = 1; ; tried++) {
            try {
                return ((ProxyMethodInvocation) request).invocableClone().proceed();
            } catch (RuntimeException failed) {
                if (!hasMetAnother(failed)) {
                    throw failed;
                }
                if (tried == TRIES) {
                    throw new PessimisticLockingFailureException("met another request " + TRIES + " times", failed);
                }
                Thread.sleep(ThreadLocalRandom.current().nextInt(1, LONGEST_PAUSE_MS));
            }
        }
    }

    private static boolean hasMetAnother(Throwable failed) {
        for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && MET.contains(sql.getErrorCode())) {
                return true;
            }
        }
        return false;
    }
}

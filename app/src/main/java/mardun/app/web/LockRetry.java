package mardun.app.web;

import mardun.app.request.LockClash;
import org.aopalliance.intercept.MethodInterceptor;
import org.springframework.aop.Advisor;
import org.springframework.aop.ProxyMethodInvocation;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.annotation.AnnotationMatchingPointcut;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.web.bind.annotation.RestController;

/** Tries a request again that met another one on the same rows; only if that goes on is the maker asked to send it once more. */
@Configuration(proxyBeanMethods = false)
@Role(BeanDefinition.ROLE_INFRASTRUCTURE)
class LockRetry {

    @Bean
    @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static Advisor lockRetryAdvisor() {
        MethodInterceptor retried = request -> LockClash.retried(
                () -> ((ProxyMethodInvocation) request).invocableClone().proceed());
        return new DefaultPointcutAdvisor(new AnnotationMatchingPointcut(RestController.class, true), retried);
    }
}

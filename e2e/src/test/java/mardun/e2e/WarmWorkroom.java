package mardun.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;

/**
 * One application with demo data for all test classes that can share it, started once. Whoever uses it relies on nothing that
 * another class changes, and leaves alone what another one reads: each journey has its own batch, materials and designs.
 */
final class WarmWorkroom implements BeforeAllCallback {

    private PackagedApp app;

    private record Running(PackagedApp app) implements AutoCloseable {

        static Running start() {
            try {
                return new Running(PackagedApp.withDemoData());
            } catch (IOException failed) {
                throw new UncheckedIOException(failed);
            }
        }

        @Override
        public void close() throws IOException {
            app.close();
        }
    }

    @Override
    public void beforeAll(ExtensionContext extension) {
        app = extension
                .getRoot()
                .getStore(Namespace.GLOBAL)
                .getOrComputeIfAbsent(Running.class, none -> Running.start(), Running.class)
                .app();
    }

    String url(String path) {
        return app.url(path);
    }
}

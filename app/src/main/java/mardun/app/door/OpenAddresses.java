package mardun.app.door;

import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.catalina.LifecycleException;
import org.apache.catalina.connector.Connector;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.TomcatWebServer;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ApplicationContext;
import org.springframework.stereotype.Component;

/**
 * The addresses on the workroom's network at which Mardun listens while its door is open: private ones only, so that it is never reached
 * from outside the house.
 */
@Component
class OpenAddresses {

    private static final Logger LOG = LoggerFactory.getLogger(OpenAddresses.class);

    private final ApplicationContext context;
    private final String given;
    private final Map<String, Connector> listening = new LinkedHashMap<>();

    /**
     * Addresses that are looked for on this machine.
     *
     * @param given those to take instead, for machines that know better; empty for none
     */
    OpenAddresses(ApplicationContext context, @Value("${mardun.door.addresses:}") String given) {
        this.context = context;
        this.given = given;
    }

    /** Listens at all private addresses that this machine has now. */
    synchronized void open() {
        for (String address : found()) {
            if (!listening.containsKey(address)) {
                listen(address);
            }
        }
    }

    private void listen(String address) {
        Connector connector = new Connector();
        connector.setPort(port());
        connector.setProperty("address", address);
        connector.setProperty("compression", "on");
        try {
            server().getTomcat().getService().addConnector(connector);
            if (connector.getState().isAvailable()) {
                listening.put(address, connector);
                return;
            }
        } catch (IllegalArgumentException taken) {
            LOG.warn("Mardun can't listen at {}", address, taken);
        }
        remove(connector);
    }

    /** Listens there no more. */
    synchronized void close() {
        listening.values().forEach(this::remove);
        listening.clear();
    }

    private void remove(Connector connector) {
        server().getTomcat().getService().removeConnector(connector);
        try {
            // A connector that is only stopped would let callers wait for an answer that never comes.
            connector.destroy();
        } catch (LifecycleException stuck) {
            LOG.warn("{} isn't closed as it should be", connector, stuck);
        }
    }

    /** Where Mardun is found, as a browser wants it. */
    synchronized List<String> urls() {
        return listening.keySet().stream()
                .map(address -> "http://" + address + ":" + port() + "/")
                .toList();
    }

    /** Whether it listens at an address. */
    synchronized boolean has(String address) {
        return listening.containsKey(address);
    }

    private int port() {
        return server().getPort();
    }

    private TomcatWebServer server() {
        return (TomcatWebServer) ((ServletWebServerApplicationContext) context).getWebServer();
    }

    private List<String> found() {
        if (!given.isBlank()) {
            return Arrays.stream(given.split(",")).map(String::strip).toList();
        }
        List<String> found = new ArrayList<>();
        try {
            for (NetworkInterface network : Collections.list(NetworkInterface.getNetworkInterfaces())) {
                if (network.isUp() && !network.isLoopback()) {
                    Collections.list(network.getInetAddresses()).stream()
                            .filter(OpenAddresses::isOfTheHouse)
                            .map(InetAddress::getHostAddress)
                            .forEach(found::add);
                }
            }
        } catch (SocketException unknown) {
            LOG.warn("The machine doesn't say which addresses it has", unknown);
        }
        return found;
    }

    private static boolean isOfTheHouse(InetAddress address) {
        return address instanceof Inet4Address && (address.isSiteLocalAddress() || address.isLinkLocalAddress());
    }
}

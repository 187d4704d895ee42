package mardun.app.channel;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface StoredChannelRepository extends JpaRepository<StoredChannel, Long> {

    List<StoredChannel> findAllByOrderById();

    Optional<StoredChannel> findByNameIgnoreCase(String name);
}

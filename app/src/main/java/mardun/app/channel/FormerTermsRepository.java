package mardun.app.channel;

import java.util.List;
import mardun.app.id.ChannelId;
import org.springframework.data.jpa.repository.JpaRepository;

interface FormerTermsRepository extends JpaRepository<FormerTerms, Long> {

    List<FormerTerms> findByChannelIdOrderByHeldUntilDesc(ChannelId channelId);
}

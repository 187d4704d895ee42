package mardun.app.request;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HandledRequestRepository extends JpaRepository<HandledRequest, UUID> {}

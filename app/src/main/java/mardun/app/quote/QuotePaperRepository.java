package mardun.app.quote;

import org.springframework.data.jpa.repository.JpaRepository;

interface QuotePaperRepository extends JpaRepository<QuotePaper, Integer> {}

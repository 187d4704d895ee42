package mardun.app.quote;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.app.quote.QuoteViews.QuoteState;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface QuoteRepository extends JpaRepository<Quote, Long> {

    List<Quote> findAllByOrderByIdDesc(Pageable page);

    List<Quote> findByStateIn(Collection<QuoteState> states);

    /** The quote, held for this transaction. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select q from Quote q where q.id = :id")
    Optional<Quote> findForChange(long id);
}

package mardun.app.posting;

import org.springframework.data.jpa.repository.JpaRepository;

interface PostingRepository extends JpaRepository<Posting, Integer> {}

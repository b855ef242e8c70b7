"""The proof sheet: what a design is, measures and proves, on paper at true size. As a page and as PDF, from one layout."""

<script lang="ts">
  // Nothing to set: it is always the same.
</script>

<!-- A gnomon and the shadow it throws. -->
<svg width="24" height="18" viewBox="0 0 24 18" aria-hidden="true">
  <path d="M9 0v17H1z" fill="var(--accent)" />
  <path d="M9.6 17L22 17 9.6 8z" fill="var(--quiet)" opacity=".45" />
</svg>

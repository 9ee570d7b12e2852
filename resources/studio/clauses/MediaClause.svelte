<script lang="ts">
  import type { WholeBrief } from '../api/client';
  import Choice from './Choice.svelte';
  import type { Holder } from './holder';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();
</script>

<fieldset>
  <legend>What comes with them</legend>
  <Choice
    type="checkbox"
    checked={brief.sift.withPictures}
    onchange={() => holder.change((changed) => (changed.sift.withPictures = !changed.sift.withPictures))}
    >Only with pictures of their own</Choice
  >
  <Choice
    type="checkbox"
    checked={brief.sift.withReply}
    onchange={() => holder.change((changed) => (changed.sift.withReply = !changed.sift.withReply))}
    >Only with your reply</Choice
  >
</fieldset>

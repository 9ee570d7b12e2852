<script lang="ts">
  import type { WholeBrief } from '../../api/client';
  import Choice from '../Choice.svelte';
  import type { Holder } from '../holder';

  let { holder, brief }: { holder: Holder; brief: WholeBrief } = $props();
</script>

<fieldset>
  <legend>Pictures and replies</legend>
  <Choice
    type="checkbox"
    checked={brief.sift.withPictures}
    onchange={() => holder.change((changed) => (changed.sift.withPictures = !changed.sift.withPictures))}
    >Only with pictures</Choice
  >
  <Choice
    type="checkbox"
    checked={brief.sift.withReply}
    onchange={() => holder.change((changed) => (changed.sift.withReply = !changed.sift.withReply))}
    >Only with a reply from you</Choice
  >
</fieldset>

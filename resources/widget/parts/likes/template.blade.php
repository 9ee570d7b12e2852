<p class="likes quiet" part="likes">{{ $part->text }}</p>

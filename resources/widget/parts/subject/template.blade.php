<p class="subject quiet" dir="auto">{{ $part->text }}</p>

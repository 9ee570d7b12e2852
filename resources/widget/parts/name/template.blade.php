<bdi class="name" part="name">{{ $part->text }}</bdi>

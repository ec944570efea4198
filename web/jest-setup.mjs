import '@angular/compiler';
